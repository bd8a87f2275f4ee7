/** The part of the reader `dxf` that the tests use. */
declare module 'dxf' {
  export class Helper {
    constructor(text: string);
    readonly parsed: unknown;
  }
}
