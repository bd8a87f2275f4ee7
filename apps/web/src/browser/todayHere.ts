/** The date of a moment, by the clock on this device. */
export function dayHere(at: string | number): string {
  const then = new Date(at);
  const two = (n: number) => String(n).padStart(2, '0');
  return `${then.getFullYear()}-${two(then.getMonth() + 1)}-${two(then.getDate())}`;
}

/** Today's date, by the clock on this device. */
export const todayHere = (): string => dayHere(Date.now());
