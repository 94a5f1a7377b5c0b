/** The house's rules: imports run down only, places do not know each other, each big library has one home. */
const down = (name, from, to, comment) => ({ name, severity: 'error', comment, from, to });
const inner = (folder, allowed) =>
  down(
    `core-${folder}`,
    { path: `^core/src/${folder}/` },
    { path: '^core/src/[a-z]+/', pathNot: `^core/src/(${[folder, ...allowed].join('|')})/` },
    `core/${folder} may use ${allowed.join(', ') || 'nothing of the core'}`,
  );
/** Steps of the way through one folder of the core, each its own: each may use those before it. */
const stepsOf = (place, steps) =>
  steps.map((folder, i) =>
    down(
      `${place}-${folder}`,
      { path: `^core/src/${place}/${folder}/` },
      { path: `^core/src/${place}/`, pathNot: `^core/src/${place}/(${steps.slice(0, i + 1).join('|')})/` },
      `core/${place}/${folder} may use the steps before it only`,
    ),
  );
const places = ['shelf', 'recipe', 'bench', 'evening', 'stove', 'log', 'kitchen', 'lab'];

module.exports = {
  forbidden: [
    down('no-circles', {}, { circular: true }, 'no circles'),
    down(
      'core-is-pure',
      { path: '^core/src' },
      {
        pathNot: [
          '^core/src',
          'node_modules/(zod|numeric-quantity|format-quantity|htmlparser2|ical-generator|papaparse|ml-matrix|tinyduration|@types/papaparse)/',
        ],
      },
      'the core depends on zod, small maths and linear algebra, a parser of pages, and writers of calendars and tables only',
    ),
    inner('words', []),
    inner('quantity', []),
    inner('water', []),
    inner('food', ['quantity']),
    inner('pot', ['water']),
    inner('grain', ['food']),
    inner('meat', ['food', 'water']),
    inner('dish', ['food', 'pot', 'quantity', 'grain']),
    inner('recipe', ['words', 'dish', 'food', 'quantity']),
    inner('share', ['words', 'cook', 'plan', 'recipe', 'dish', 'food', 'quantity']),
    inner('plan', ['words', 'quantity', 'food', 'water', 'pot', 'grain', 'meat', 'dish']),
    inner('cook', ['plan', 'dish', 'food', 'quantity', 'water', 'pot', 'grain', 'meat']),
    inner('learn', ['words', 'cook', 'plan', 'dish', 'food', 'quantity', 'pot', 'grain']),
    inner('lab', ['cook', 'plan', 'dish', 'food', 'grain']),
    inner('rescue', ['cook', 'plan', 'dish', 'food', 'quantity', 'water', 'pot', 'grain', 'meat']),
    // The way of a recipe to a dish, and of a dish to a plan.
    ...stepsOf('recipe', ['text', 'names', 'line', 'page', 'steps']),
    ...stepsOf('plan', ['document', 'gather', 'setup', 'simulate', 'judge', 'search', 'write']),
    down(
      'plan-before-questions',
      { path: '^core/src/plan/', pathNot: '^core/src/plan/questions/' },
      { path: '^core/src/plan/questions/' },
      'a plan is made without the questions that are asked about it',
    ),
    ...places.map((p) =>
      down(
        `place-${p}`,
        { path: `^web/src/app/${p}/` },
        { path: `^web/src/app/(${places.filter((x) => x !== p).join('|')})/` },
        'a place never imports another place',
      ),
    ),
    down(
      'only-store-knows-sequelize',
      { path: '^server/src', pathNot: '^server/src/store/' },
      { path: 'node_modules/sequelize/' },
      'only store/ knows Sequelize',
    ),
    down(
      'only-ui-touches-plotly',
      { path: '^web/src', pathNot: '^web/src/app/ui/' },
      { path: 'node_modules/plotly' },
      'only web/ui touches Plotly',
    ),
    down('core-knows-no-shell', { path: '^core/' }, { path: '^(web|server|devices|e2e)/' }, 'the core knows no shell'),
    down(
      'devices-know-only-the-core',
      { path: '^devices/' },
      { path: '^(web|server)/' },
      'devices speak the protocol only',
    ),
    down('server-knows-no-web', { path: '^server/' }, { path: '^web/' }, 'server and web meet in the core only'),
    down(
      'web-knows-no-server',
      { path: '^web/' },
      { path: '^(server|devices)/' },
      'server and web meet in the core only',
    ),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
