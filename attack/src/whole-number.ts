/** A whole number as it was typed on the command line; one line and exit code 2 where it is none. */
export function wholeNumber(text: string | undefined, otherwise: number): number {
  if (text === undefined) return otherwise;
  if (!/^\d{1,9}$/.test(text)) {
    console.error(`“${text}” is not a whole number.`);
    process.exit(2);
  }
  return Number(text);
}
