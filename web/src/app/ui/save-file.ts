const types = { json: 'application/json', md: 'text/markdown', csv: 'text/csv', ics: 'text/calendar' } as const;

/** A text as a file, named by its title. */
export function saveFile(title: string, ending: keyof typeof types, text: string): void {
  const type = types[ending];
  const url = URL.createObjectURL(new Blob([text], { type }));
  const a = document.createElement('a');
  a.href = url;
  a.download = `${title.toLowerCase().replaceAll(/[^\p{L}\d]+/gu, '-')}.${ending}`;
  a.click();
  URL.revokeObjectURL(url);
}
