import { ESLint } from 'eslint';

// What the linter says of texts, were they files of the house: `[{ file, text }]` comes in, what it says goes out, each in turn.
let asked = '';
for await (const part of process.stdin) asked += part;
const linter = new ESLint();
const format = await linter.loadFormatter('stylish');
const said = [];
for (const { file, text } of JSON.parse(asked))
  said.push(await format.format(await linter.lintText(text, { filePath: file })));
process.stdout.write(JSON.stringify(said));
