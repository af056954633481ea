/** Light or dark: as the system says, until someone chooses. */
const KEY = 'alvex.mode';
type Mode = 'light' | 'dark';

const stored = (): Mode | undefined => {
  const value = localStorage.getItem(KEY);
  return value === 'light' || value === 'dark' ? value : undefined;
};

const current = (): Mode => stored() ?? (matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light');

export function applyMode(): void {
  const mode = current();
  document.documentElement.classList.toggle('dark', mode === 'dark');
  document.documentElement.classList.toggle('light', mode === 'light');
}

export function switchMode(): void {
  localStorage.setItem(KEY, current() === 'dark' ? 'light' : 'dark');
  applyMode();
}
