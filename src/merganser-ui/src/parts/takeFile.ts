/** A file goes to where this browser keeps them, and the page stays; without a name it is called as the server says. */
export function takeFile(href: string, name = '') {
  const link = document.createElement('a');
  link.href = href;
  link.download = name;
  link.click();
}

/** The same for what was made here. */
export function takeMade(file: Blob, name: string) {
  const href = URL.createObjectURL(file);
  takeFile(href, name);
  URL.revokeObjectURL(href);
}
