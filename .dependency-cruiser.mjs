const SOURCES = '^(packages|apps|e2e|bench|attack|agreement|scripts)/';

/** Which way files and rooms may depend: never in a circle. */
export default {
  forbidden: [
    {
      name: 'rooms-one-way',
      comment:
        'Two rooms of the core that need each other are one room, or share something that lies below both.',
      severity: 'error',
      scope: 'folder',
      from: { path: '^packages/core/src/' },
      to: { circular: true },
    },
    {
      name: 'files-one-way',
      severity: 'error',
      from: { path: SOURCES },
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
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
