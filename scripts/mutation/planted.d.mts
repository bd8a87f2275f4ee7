interface Fault {
  readonly name: string;
  readonly patch: string;
  readonly sees: string;
  readonly tests: readonly string[];
}
export declare function faults(): Fault[];
export declare function whyNot(fault: Fault, folder?: string): string;
