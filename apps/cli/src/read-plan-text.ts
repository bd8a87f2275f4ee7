import { type Plan, readPlan } from '@lattice/core';
import { findNodeAtLocation, type Node, type ParseError, parseTree, printParseErrorCode } from 'jsonc-parser';

/** A problem with its place in the file; lines and columns count from 1. */
export interface Fault {
  readonly line: number;
  readonly column: number;
  /** Path in the plan, `setting.sash`; empty for the whole file. */
  readonly place: string;
  readonly message: string;
}

/** Words for what a JSON parser stumbles on. */
const SYNTAX: Readonly<Record<string, string>> = {
  InvalidSymbol: 'a word here is not JSON; texts stand in double quotes',
  InvalidNumberFormat: 'this number is not written as JSON writes numbers',
  CommaExpected: 'a comma is missing before this',
  ColonExpected: 'a colon is missing before this',
  ValueExpected: 'a value is missing here',
  PropertyNameExpected: 'a name in double quotes is missing here',
  CloseBraceExpected: 'a closing } is missing; the file may be cut short',
  CloseBracketExpected: 'a closing ] is missing; the file may be cut short',
  EndOfFileExpected: 'there is more after the end of the plan',
  UnexpectedEndOfString: 'a text is not closed',
};

/** Reads the text of a plan file, every problem with its line and column. */
export function readPlanText(raw: string): { ok: true; plan: Plan } | { ok: false; faults: Fault[] } {
  const text = raw.replace(/^\uFEFF/, '');
  const errors: ParseError[] = [];
  const tree = parseTree(text, errors, { disallowComments: true, allowTrailingComma: false });
  const fault = (offset: number, place: string, message: string): Fault => {
    const before = text.slice(0, offset).split('\n');
    return { line: before.length, column: before.at(-1)!.length + 1, place, message };
  };
  const [first] = errors;
  if (first || !tree) {
    // What follows the first slip is mostly its echo.
    const name = first ? printParseErrorCode(first.error) : 'ValueExpected';
    return {
      ok: false,
      faults: [
        fault(
          first?.offset ?? 0,
          '',
          `This is not JSON: ${SYNTAX[name] ?? 'it cannot be read from here on'}.`,
        ),
      ],
    };
  }
  const read = readPlan(JSON.parse(text));
  if (read.ok) return read;
  return {
    ok: false,
    faults: read.problems.map(({ path, message }) =>
      fault(nearest(tree, path)?.offset ?? 0, path.join('.'), message),
    ),
  };
}

/** The node at this path, or the closest one above it when the field itself is missing. */
function nearest(tree: Node, path: readonly (string | number)[]): Node | undefined {
  for (let length = path.length; length >= 0; length--) {
    const node = findNodeAtLocation(tree, path.slice(0, length));
    if (node) return node;
  }
  return undefined;
}
