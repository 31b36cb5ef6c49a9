/** Hands a file to the browser to be saved. */
export function saveFile(name: string, content: string, type: string): void {
  const url = URL.createObjectURL(new Blob([content], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // the browser has taken it by then
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
