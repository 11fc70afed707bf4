/** Hands the browser a text to be saved as a file. Made when it is wanted, for files that carry their time of writing. */
export function saveText(name: string, type: string, text: string): void {
  const link = document.createElement('a');
  link.href = `data:${type};charset=utf-8,${encodeURIComponent(text)}`;
  link.download = name;
  link.click();
}
