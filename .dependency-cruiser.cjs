/** The floors of core, lowest first. A folder imports only from lower floors. */
const floors = [
  ['quantity', 'geometry', 'material', 'assembly', 'change'],
  ['cake', 'tint', 'dry', 'ledger'],
  ['learn', 'supply'],
  ['technique'],
  ['compose', 'accent', 'cut', 'mixture', 'schedule', 'care'],
  ['commission', 'workshop', 'draw'],
  ['decoration', 'demo'],
  ['plan'],
  ['make'],
  ['deliver'],
  ['format'],
]

const notTest = '\\.test\\.ts$'

const upward = floors.flatMap((floor, height) =>
  floor.map((folder) => {
    const below = floors.slice(0, height).flat()
    return {
      name: `floor-${folder}`,
      comment: `core/${folder} may import only from lower floors: ${below.join(', ') || 'none'}.`,
      severity: 'error',
      from: { path: `^core/${folder}/`, pathNot: notTest },
      to: { path: '^core/', pathNot: `^core/(${[folder, ...below].join('|')})/` },
    }
  }),
)

module.exports = {
  forbidden: [
    ...upward,
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    { name: 'core-stands-alone', severity: 'error', from: { path: '^core/' }, to: { path: '^(app|server)/' } },
    { name: 'server-does-not-show', severity: 'error', from: { path: '^server/' }, to: { path: '^app/' } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { extensions: ['.ts', '.vue', '.mjs', '.js'] },
  },
}
