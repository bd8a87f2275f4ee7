import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { instance } from '@viz-js/viz';
import { root, stopped } from '../lib.mjs';
import { install } from '../prepare.mjs';
import { roomEdges, withoutShortcuts } from '../rooms.mjs';

/** Draws which room of the core needs which into docs/rooms.svg, what follows from other arrows left out. */
export const run = stopped(async () => {
  await install();
  const edges = withoutShortcuts(roomEdges());
  const dot = `digraph rooms {
    rankdir=TB; ranksep=0.35; nodesep=0.25; bgcolor="transparent";
    node [shape=box, style="rounded,filled", fillcolor="#f4ecdc", color="#2e4a5f", fontname="sans-serif", fontsize=12, height=0.3];
    edge [color="#7d8f86", arrowsize=0.6];
    ${edges.map((edge) => edge.replace(/[a-z]+/g, '"$&"')).join(';\n    ')}
  }`;
  const viz = await instance();
  writeFileSync(path.join(root, 'docs/rooms.svg'), viz.renderString(dot, { format: 'svg' }));
  console.log('docs/rooms.svg is drawn.');
  return 0;
});
