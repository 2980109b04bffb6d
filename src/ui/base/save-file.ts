/** Hands a file to the browser. @param name with its ending; what a file name cannot hold is left out */
export function saveFile(file: Blob, name: string): void {
  const url = URL.createObjectURL(file);
  const link = document.createElement('a');
  link.href = url;
  link.download = name.replace(/[^\p{L}\p{N} ,.-]+/gu, ' ').trim();
  link.click();
  URL.revokeObjectURL(url);
}
