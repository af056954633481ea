/** Gives a file to the browser to be saved. */
export function saveFile(name: string, content: Blob): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(content);
  link.download = name;
  link.click();
  // Large ones are still being read when the click is done.
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
}

export const jsonFile = (value: object): Blob =>
  new Blob([`${JSON.stringify(value, null, 2)}\n`], { type: 'application/json' });
