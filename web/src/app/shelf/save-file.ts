/** A text as a file, named by the title of its dish. */
export function saveFile(title: string, ending: 'json' | 'md', text: string): void {
  const type = ending === 'json' ? 'application/json' : 'text/markdown';
  const url = URL.createObjectURL(new Blob([text], { type }));
  const a = document.createElement('a');
  a.href = url;
  a.download = `${title.toLowerCase().replaceAll(/[^\p{L}\d]+/gu, '-')}.${ending}`;
  a.click();
  URL.revokeObjectURL(url);
}
