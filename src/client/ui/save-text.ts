/** Hands the browser what is to be saved as a file. */
export function saveBlob(name: string, blob: Blob): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  // It is read in the turn after the click.
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
}

/** Hands the browser a text to be saved as a file. Made when it is wanted, for files that carry their time of writing. */
export function saveText(name: string, type: string, text: string): void {
  const link = document.createElement('a');
  link.href = `data:${type};charset=utf-8,${encodeURIComponent(text)}`;
  link.download = name;
  link.click();
}
