const SOURCES = '^(packages|apps|e2e|bench|attack|agreement|scripts)/';

/** Layers of the web, the lowest first: each knows those before it, and itself. */
const LAYERS = ['browser', 'design', 'state', 'sync', 'rooms', 'stages', 'shell'];
const above = LAYERS.slice(0, -1).map((layer, i) => ({
  name: `web-${layer}-looks-down`,
  comment:
    'The web lies in layers (docs/web.md): what a layer needs of one above it is passed in, or lies too high.',
  severity: 'error',
  from: { path: `^apps/web/src/${layer}/` },
  to: { path: `^apps/web/src/(${LAYERS.slice(i + 1).join('|')})/` },
}));

/** Which way files and rooms may depend: never in a circle. */
export default {
  forbidden: [
    ...above,
    {
      name: 'rooms-one-way',
      comment: 'Two rooms that need each other are one room, or share something that lies below both.',
      severity: 'error',
      scope: 'folder',
      from: { path: '^(packages/(core|photo)/src|apps/web/src/(rooms|stages)|apps/server/src)/' },
      to: { circular: true },
    },
    {
      name: 'files-one-way',
      severity: 'error',
      from: { path: SOURCES },
      to: { circular: true },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|\\.mutation)/' },
    includeOnly: SOURCES,
    tsPreCompilationDeps: true,
    metrics: true,
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.mjs', '.js'], exportsFields: ['exports'] },
  },
};
