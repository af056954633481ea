/** How Debian's Chromium is started, headless and without reaching for the network. */
export const CHROMIUM = {
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    // What is drawn without one is drawn beside the page's own work: a process less to talk to.
    '--in-process-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};
