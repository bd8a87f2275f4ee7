import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import ts from 'typescript';

/** Rooms whose texts a maker reads. */
const ROOMS = ['packages', 'apps'];

/**
 * Every text a maker may read, as it stands in the source: words of the markup, and strings of more than one word or
 * with a capital. What a template puts in between is an ellipsis. Names of modules and of types are no texts.
 *
 * @returns {{ file: string, line: number, text: string }[]}
 */
export function saidInSource() {
  const files = execFileSync('git', ['ls-files', ...ROOMS], { encoding: 'utf8' })
    .split('\n')
    .filter((file) => /\/src\/.*\.tsx?$/.test(file) && !file.endsWith('.d.ts'));
  return files.flatMap((file) => saidIn(file, readFileSync(file, 'utf8')));
}

/** @returns {{ file: string, line: number, text: string }[]} */
export function saidIn(file, source) {
  const tree = ts.createSourceFile(file, source, ts.ScriptTarget.Latest, true);
  const found = [];
  const add = (node, text) => {
    const clean = text.replace(/\s+/g, ' ').trim();
    if (!isSaid(clean)) return;
    found.push({ file, line: tree.getLineAndCharacterOfPosition(node.getStart(tree)).line + 1, text: clean });
  };
  const visit = (node) => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isTypeNode(node)) return;
    if (isStyle(node)) return;
    if (ts.isJsxText(node) || ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node))
      add(node, node.text);
    else if (ts.isTemplateExpression(node))
      add(node, [node.head.text, ...node.templateSpans.map(({ literal }) => literal.text)].join('…'));
    ts.forEachChild(node, visit);
  };
  visit(tree);
  return found;
}

/** Styles of a page that is written whole are no texts. */
const STYLES = /\{ ?[a-z-]+: /;
const isSaid = (text) =>
  !STYLES.test(text) && /[A-Za-z]/.test(text) && (/^[A-Z]/.test(text) || /[A-Za-z]…? …?[A-Za-z]/.test(text));

/** Styles are written in tagged templates. */
const isStyle = (node) =>
  ts.isTaggedTemplateExpression(node) &&
  /^(?:styled|css|createGlobalStyle|keyframes)\b/.test(node.tag.getText());
