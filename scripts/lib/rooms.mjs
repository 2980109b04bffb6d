// The rooms of the house as rules of the linter: what each room may import, and what the core does without.

/** The rooms that each room must not look into. Imports run one way: app → ui, server; server → db → core;
 * server → paper → words, core; ui → audio, workers, words, core; words, audio, workers → core. */
const CLOSED_TO = {
  core: ['paper', 'db', 'server', 'words', 'audio', 'workers', 'ui', 'app'],
  db: ['paper', 'server', 'words', 'audio', 'workers', 'ui', 'app'],
  server: ['audio', 'workers', 'ui', 'app'],
  paper: ['db', 'server', 'audio', 'workers', 'ui', 'app'],
  words: ['paper', 'db', 'server', 'audio', 'workers', 'ui', 'app'],
  audio: ['paper', 'db', 'server', 'words', 'ui', 'app'],
  workers: ['paper', 'db', 'server', 'words', 'audio', 'ui', 'app'],
  ui: ['paper', 'db', 'server', 'app'],
  app: ['paper', 'db', 'audio', 'workers'],
};

/** What reads what came from outside, and so loads the schemas. */
const READERS =
  /^src\/core\/((family|log|program|shape)\/[^/]+|format\/bundle\/[^/]+|materials\/contents|recipe\/read-link)\.ts$/;

/** What an import is refused for: which files it is about, what they may not ask for, and the words. */
const REFUSALS = [
  ...Object.entries(CLOSED_TO).map(([room, closed]) => ({
    in: (at) => at === room,
    asks: new RegExp(`^(@/|(\\.\\./)+)(${closed.join('|')})(/|$)`),
    words: `src/${room} does not import from there; see the rooms in CONTRIBUTING.md.`,
  })),
  {
    in: (at) => at === 'core',
    asks: /^(@\/core|\.\.)\/[a-z-]+\/.+/,
    words: 'Import from the folder, not from a file inside it.',
  },
  {
    in: (at) => at !== 'core',
    asks: /^@\/core\/[a-z-]+\/.+/,
    words: 'Import from the folder, not from a file inside it.',
  },
  {
    in: (at) => at === 'core',
    asks: /^(react|react-dom|next|drizzle-orm|better-sqlite3|node:.*)(\/|$)/,
    words: 'The core is pure: no interface, database or machine.',
  },
  {
    in: (at) => at !== 'core' && at !== 'db',
    asks: /^(drizzle-orm|better-sqlite3)(\/|$)|^@\/db\/.+/,
    words: 'Queries are written in src/db; ask a store, which knows whose it is.',
  },
  {
    // Browsers load every schema with the builders it uses: those of the small half alone.
    in: () => true,
    asks: /^zod(\/v\d)?$/,
    words: 'Import from zod/mini; core/shape has the shapes that are used most.',
  },
  {
    // A schema stands beside its algorithm, which knows no more of it than its type: so whoever plays an exercise
    // loads no validator.
    in: (at, file) => at === 'core' && !/(schema|\/index)\.ts$/.test(file) && !READERS.test(file),
    asks: /(-|\/)schema$/,
    mayAskForTypes: true,
    words: 'Import the type alone; what validates stands in a file of its own.',
  },
];

/**
 * Why a file of the house may not import a module.
 *
 * @param file from the root of the repository, with slashes
 * @param asked the module as it is written
 * @param isType whether types alone are imported
 * @returns the words of each reason; none for tests, which look everywhere
 */
export function refusals(file, asked, isType = false) {
  const room = /^src\/(\w+)\//.exec(file)?.[1] ?? '';
  if (!(room in CLOSED_TO) || isTest(file)) return [];
  return REFUSALS.filter(
    (one) => one.in(room, file) && one.asks.test(asked) && !(one.mayAskForTypes && isType),
  ).map((one) => one.words);
}

function isTest(file) {
  return /\.(test|fixture)\.ts$/.test(file);
}

const GLOBALS = new Set(['window', 'document', 'fetch', 'process', 'performance']);

/** What the core is given as an argument, by the call that would ask the machine for it. */
const MACHINE = {
  'Math.random': 'Randomness is an argument in the core.',
  'Date.now': 'The clock is an argument in the core.',
};

function fileOf(context) {
  return context.filename.replaceAll('\\', '/').replace(/^.*?\/(?=src\/)/, '');
}

const imports = {
  create(context) {
    const file = fileOf(context);
    function look(node) {
      if (!node.source) return;
      const isType = node.importKind === 'type' || node.exportKind === 'type';
      for (const message of refusals(file, node.source.value, isType)) {
        context.report({ node, message });
      }
    }
    return { ImportDeclaration: look, ExportNamedDeclaration: look, ExportAllDeclaration: look };
  },
};

const pure = {
  create(context) {
    const file = fileOf(context);
    if (!file.startsWith('src/core/') || file.endsWith('.test.ts')) return {};
    return {
      CallExpression(node) {
        const { object, property } = node.callee;
        const message = MACHINE[`${object?.name}.${property?.name}`];
        if (message) context.report({ node, message });
      },
      NewExpression(node) {
        if (node.callee.name !== 'Date' || node.arguments.length > 0) return;
        context.report({ node, message: 'Today is an argument in the core.' });
      },
      Program(node) {
        const scope = context.sourceCode.getScope(node);
        for (const { identifier } of scope.through) {
          if (!GLOBALS.has(identifier.name)) continue;
          const message = `The core is pure: it has no ${identifier.name}.`;
          context.report({ node: identifier, message });
        }
      },
    };
  },
};

export default { meta: { name: 'rooms' }, rules: { imports, pure } };
