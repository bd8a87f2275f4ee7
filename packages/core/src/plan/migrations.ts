/** Brings a plan document from the version in its key to the next. A landed one is never edited. */
type Migration = (plan: Record<string, unknown>) => Record<string, unknown>;

type Fields = Record<string, unknown>;

/** Options that version 1 settings did not have, as they were then. */
const OPTIONS_OF_2: Readonly<Record<string, Fields>> = {
  sashed: { strips: '1' },
  'on-point': { plainBetween: false },
};

/** By the version each starts from. */
const MIGRATIONS: Readonly<Record<number, Migration>> = {
  // Borders learnt corners, cutting direction and different sides; settings learnt more pieces to find fabric for.
  1: (plan) => ({
    ...plan,
    borders: Array.isArray(plan['borders'])
      ? plan['borders'].map(({ width, ...border }: Fields) => ({
          sides: width,
          ends: width,
          corners: 'sides-first',
          cut: 'crosswise',
          cornerFabric: border['fabric'],
          ...border,
        }))
      : plan['borders'],
    setting: isFields(plan['setting'])
      ? { ...ownOf(OPTIONS_OF_2, plan['setting']['kind']), ...plan['setting'] }
      : plan['setting'],
    fabricFor: isFields(plan['fabricFor'])
      ? {
          'middle-sash': plan['fabricFor']['cornerstone'],
          plain: plan['fabricFor']['triangle'],
          frame: plan['fabricFor']['triangle'],
          ...plan['fabricFor'],
        }
      : plan['fabricFor'],
  }),

  // Triangles learnt floats and the exact rule, borders joins and repeats; sizes can be measured; a target can be a bed;
  // blocks got names the wall knows them by.
  2: (plan) => {
    const fabrics = Array.isArray(plan['fabrics']) ? (plan['fabrics'] as Fields[]) : [];
    const fabricFor = isFields(plan['fabricFor']) ? plan['fabricFor'] : {};
    const batting =
      fabrics.some((f) => f['id'] === 'batting') || fabrics.length >= 24
        ? []
        : [
            {
              id: 'batting',
              name: 'Batting',
              colour: '#f3efe2',
              usableWidth: plan['unit'] === 'cm' ? 220 : 88,
            },
          ];
    return {
      places: { turn: 'none', swap: 'none' },
      measured: [],
      measureBy: 'middle',
      wall: [],
      ...plan,
      pile: Array.isArray(plan['pile'])
        ? plan['pile'].map((block: Fields, i) => ({ id: `b${i + 1}`, ...block }))
        : plan['pile'],
      setting: isFields(plan['setting'])
        ? { ...ownOf(OPTIONS_OF_3, plan['setting']['kind']), ...plan['setting'] }
        : plan['setting'],
      borders: Array.isArray(plan['borders'])
        ? plan['borders'].map((border: Fields) => ({ joins: 'diagonal', repeat: null, ...border }))
        : plan['borders'],
      target: isFields(plan['target']) ? { of: 'size', ...plan['target'] } : plan['target'],
      fabrics: Array.isArray(plan['fabrics']) ? [...fabrics, ...batting] : plan['fabrics'],
      fabricFor: isFields(plan['fabricFor'])
        ? {
            'sash-back': isFields(plan['backing']) ? plan['backing']['fabric'] : fabricFor['sash'],
            'sash-batting':
              batting.length > 0 || fabrics.some((f) => f['id'] === 'batting')
                ? 'batting'
                : fabricFor['sash'],
            coping: fabricFor['plain'],
            ...fabricFor,
          }
        : plan['fabricFor'],
    };
  },

  // Layers learnt ways of backing, batting and quilting; edges their shape, finishes and folds; fabrics a price.
  3: (plan) => {
    const fabrics = Array.isArray(plan['fabrics']) ? (plan['fabrics'] as Fields[]) : [];
    const backing = isFields(plan['backing']) ? plan['backing'] : {};
    const binding = isFields(plan['binding']) ? plan['binding'] : {};
    const inches = plan['unit'] !== 'cm';
    const known = fabrics.some((f) => f['id'] === 'wide-back');
    const wide =
      known || fabrics.length >= 24
        ? []
        : [
            {
              id: 'wide-back',
              name: 'Wide backing',
              colour: '#a9b8a4',
              usableWidth: inches ? 104 : 260,
              price: null,
            },
          ];
    return {
      batting: { fibre: 'cotton', colour: 'natural', way: 'best', rollWidth: inches ? 96 : 240, pieces: [] },
      quilting: { by: 'home', marking: 'grid', spacing: inches ? 3 : 8, booking: null },
      edge: {
        shape: 'square',
        corners: 'all',
        radius: inches ? 6 : 15,
        scallop: inches ? { width: 6, depth: 1 } : { width: 15, depth: 2.5 },
        around: null,
        finishes: ['binding'],
        flange: { visible: inches ? 0.25 : 0.5, fabric: binding['fabric'] },
        points: {
          square: inches ? 4 : 10,
          overlap: inches ? 0.25 : 0.5,
          fold: 'nested',
          spread: 'all',
          fabrics: [binding['fabric']],
          order: 'sequence',
          opening: inches ? 6 : 15,
          seed: 1,
        },
      },
      ...plan,
      backing: isFields(plan['backing'])
        ? {
            wide: known || wide.length > 0 ? 'wide-back' : backing['fabric'],
            way: 'best',
            oneWay: false,
            stripe: { of: 'fabric', fabric: backing['fabric'] },
            made: null,
            ...backing,
          }
        : plan['backing'],
      binding: isFields(plan['binding'])
        ? {
            fold: 'double',
            grain: 'straight',
            school: 'plus-ten',
            flange: null,
            leftovers: [],
            start: null,
            ...binding,
          }
        : plan['binding'],
      fabrics: Array.isArray(plan['fabrics'])
        ? [...fabrics.map((f) => ({ price: null, ...f })), ...wide]
        : plan['fabrics'],
    };
  },

  // Fabrics learnt their direction, alike sides and shrinkage; buying what squaring takes; a binding its seam; scallops their sides.
  4: (plan) => {
    const inches = plan['unit'] !== 'cm';
    const { oneWay, ...backing } = isFields(plan['backing']) ? plan['backing'] : ({} as Fields);
    const edge = isFields(plan['edge']) ? plan['edge'] : {};
    return {
      squaring: inches ? 0.5 : 1,
      ...plan,
      backing: isFields(plan['backing']) ? backing : plan['backing'],
      edge: isFields(plan['edge'])
        ? {
            ...edge,
            scallop: isFields(edge['scallop'])
              ? { sides: ['top', 'right', 'bottom', 'left'], ...edge['scallop'] }
              : edge['scallop'],
          }
        : plan['edge'],
      binding: isFields(plan['binding']) ? { seam: null, ...plan['binding'] } : plan['binding'],
      fabrics: Array.isArray(plan['fabrics'])
        ? plan['fabrics'].map((f: unknown) =>
            isFields(f)
              ? {
                  direction: oneWay === true && f['id'] === backing['fabric'] ? 'one-way' : 'none',
                  alike: false,
                  shrinkage: 0,
                  ...f,
                }
              : f,
          )
        : plan['fabrics'],
    };
  },

  // Borders got ids that last; a booking is the log's, not the design's.
  5: (plan) => {
    const quilting = isFields(plan['quilting']) ? { ...plan['quilting'] } : plan['quilting'];
    if (isFields(quilting)) delete quilting['booking'];
    return {
      ...plan,
      borders: Array.isArray(plan['borders'])
        ? plan['borders'].map((b: unknown, i) => (isFields(b) ? { id: String(i + 1), ...b } : b))
        : plan['borders'],
      quilting,
    };
  },

  // Pieces in hand became one list, for whatever they are used up for; cloths learnt whether they are washed and where
  // they are from; several may take turns in one job, and strips may be cut over-long.
  6: (plan) => {
    const { pieces, ...batting } = isFields(plan['batting']) ? plan['batting'] : ({} as Fields);
    const { leftovers, ...binding } = isFields(plan['binding']) ? plan['binding'] : ({} as Fields);
    const listed = (list: unknown, what: 'binding' | 'batting') =>
      (Array.isArray(list) ? list : []).map((piece: unknown, i) => {
        const { height, ...size } = isFields(piece) ? piece : ({} as Fields);
        return {
          id: `${what}-${i + 1}`,
          for: what,
          ...size,
          ...(height !== undefined && { length: height }),
        };
      });
    return {
      ...plan,
      batting: isFields(plan['batting']) ? batting : plan['batting'],
      binding: isFields(plan['binding']) ? binding : plan['binding'],
      fabrics: Array.isArray(plan['fabrics'])
        ? plan['fabrics'].map((f: unknown) => (isFields(f) ? { washed: false, from: '', ...f } : f))
        : plan['fabrics'],
      rotations: [],
      overLong: { sashes: 0, borders: 0 },
      stock: [...listed(leftovers, 'binding'), ...listed(pieces, 'batting')],
    };
  },

  // Quilts learnt tags; spare blocks what they are kept for, and settings that nothing is laid out in, are new besides.
  7: (plan) => ({ ...plan, tags: [] }),

  // A place of a top or a backing may be not measured yet. What was measured stays what it was.
  8: (plan) => plan,

  // Without cornerstones long sashes may stand upright; strips may have a short sash between their blocks.
  9: (plan) => {
    const setting = isFields(plan['setting']) ? plan['setting'] : {};
    const added = ownOf(OPTIONS_OF_10, setting['kind'])?.(plan['unit'] === 'cm' ? 4 : 1.5);
    return added ? { ...plan, setting: { ...added, ...setting } } : plan;
  },

  // Prairie points learnt how they are sewn on: after quilting, as the steps told it until then.
  10: (plan) => {
    const edge = isFields(plan['edge']) ? plan['edge'] : {};
    return isFields(edge['points'])
      ? { ...plan, edge: { ...edge, points: { sewn: 'quilted', ...edge['points'] } } }
      : plan;
  },

  // A strip to spare may be asked for.
  11: (plan) => ({ ...plan, spareStrip: false }),

  // Edges learnt facing, self-binding and piping; a facing in the binding's cloth, a piping in the flange's.
  12: (plan) => {
    const edge = isFields(plan['edge']) ? plan['edge'] : null;
    if (!edge) return plan;
    const binding = isFields(plan['binding']) ? plan['binding'] : {};
    const flange = isFields(edge['flange']) ? edge['flange'] : {};
    const inches = plan['unit'] !== 'cm';
    const added = {
      facing: { width: inches ? 2.5 : 6.5, corners: 'flat', fabric: binding['fabric'] },
      selfBinding: { shows: inches ? 0.5 : 1.5 },
      piping: { cord: inches ? 0.125 : 0.3, fabric: flange['fabric'] },
    };
    return { ...plan, edge: { ...added, ...edge } };
  },

  // A quilt may be hung; a sleeve would be of the backing's cloth.
  13: (plan) => {
    const backing = isFields(plan['backing']) ? plan['backing'] : {};
    const hanging = { as: 'none', depth: plan['unit'] === 'cm' ? 10 : 4, fabric: backing['fabric'] };
    return { hanging, ...plan };
  },

  // A border may be pieced of units; corners may be cut out for the posts of a bed.
  14: (plan) => {
    const cut = plan['unit'] === 'cm' ? 30 : 12;
    return {
      ...plan,
      borders: Array.isArray(plan['borders'])
        ? plan['borders'].map((border: Fields) => ({ pieced: null, ...border }))
        : plan['borders'],
      edge: isFields(plan['edge']) ? { cutOut: { across: cut, down: cut }, ...plan['edge'] } : plan['edge'],
    };
  },
};

/** What a table says of a name it has itself: a document may name anything, and every object has a “constructor”. */
const ownOf = <T>(table: Readonly<Record<string, T>>, name: unknown): T | undefined =>
  typeof name === 'string' && Object.hasOwn(table, name) ? table[name] : undefined;

/** Options that version 2 settings did not have, as they were then. */
const OPTIONS_OF_3: Readonly<Record<string, Fields>> = {
  'on-point': { float: 0, triangles: 'trade' },
  'on-point-sashed': { plainBetween: false, edgeStones: 'whole', float: 0, triangles: 'trade' },
  framed: { frame: 'exact', triangles: 'trade' },
};

/** Options that version 9 settings did not have, as they were then; a short sash is as wide as a usual one begins. */
const OPTIONS_OF_10: Readonly<Record<string, (short: number) => Fields>> = {
  sashed: () => ({ long: 'level' }),
  'strip-set': (short) => ({ shortSash: false, short }),
};

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Applies every step from the document's own version upward. Shapes are checked afterwards, by the schema. */
export function migratePlan(raw: { schemaVersion: number }, migrations = MIGRATIONS): unknown {
  let plan: Record<string, unknown> & { schemaVersion: number } = { ...raw };
  for (let step = migrations[plan.schemaVersion]; step !== undefined; step = migrations[plan.schemaVersion]) {
    plan = { ...step(plan), schemaVersion: plan.schemaVersion + 1 };
  }
  return plan;
}
