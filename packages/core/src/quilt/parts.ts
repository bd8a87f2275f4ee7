/** What is worked out a part at a time, all at once. */
export function toTheEnd<T>(parts: Generator<undefined, T>): T {
  for (;;) {
    const { done, value } = parts.next();
    if (done) return value;
  }
}
