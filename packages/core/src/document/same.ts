/**
 * Whether two plain documents say the same, field by field in the order they were written. Documents of this house are
 * written by one schema each, so their fields come in one order.
 */
export const same = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(a) === JSON.stringify(b);
