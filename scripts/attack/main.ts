/**
 * `npm run attack [-- part [tries [seed]]]`: hostile lines, files, double clicks and kills, told as a table. It takes minutes and is not part of the
 * tests; what it finds becomes one.
 */
import { attackFiles } from './files.ts'
import { attackLines } from './lines.ts'
import { printTallies, type Tally } from './tally.ts'

const PARTS: Readonly<Record<string, { tries: number; run: (tries: number, seed: number) => Promise<Tally> }>> = {
  lines: { tries: 10_000, run: attackLines },
  files: { tries: 5000, run: attackFiles },
  clicks: { tries: 20, run: async (tries, seed) => (await import('./clicks.ts')).attackClicks(tries, seed) },
  kills: { tries: 500, run: async (tries, seed) => (await import('./kills.ts')).attackKills(tries, seed) },
}

const [part, tries, seed = '1'] = process.argv.slice(2)
if (part !== undefined && !(part in PARTS)) {
  console.error(`expected one of ${Object.keys(PARTS).join(', ')}; came ${part}`)
  process.exit(2)
}
const tallies: Tally[] = []
for (const [name, one] of Object.entries(PARTS))
  if (part === undefined || part === name)
    tallies.push(await one.run(tries === undefined ? one.tries : Number(tries), Number(seed)))
process.exitCode = printTallies(tallies) ? 0 : 1
process.exit()
