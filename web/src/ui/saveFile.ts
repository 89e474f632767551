/** Hands a file to the browser, which saves it where it saves all. */
export function saveFile(content: Blob, name: string): void {
  const address = URL.createObjectURL(content);
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  // Once it has been taken up; at once it would be gone before.
  setTimeout(() => URL.revokeObjectURL(address), 60_000);
}
