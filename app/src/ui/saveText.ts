/** Hands a text, or bytes, to the browser as a file. */
export function saveText(name: string, text: BlobPart, type: string): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}
