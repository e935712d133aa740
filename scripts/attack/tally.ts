/** What became of the tries of one part of an attack. */
export interface Tally {
  part: string
  tries: number
  /** Answered with a question, a fault or a refusal in words. */
  asked: number
  /** Said to be kept, and read again. */
  kept: number
  /** Said to be kept, and not there. */
  lost: number
  /** There more often than it was meant. */
  twice: number
  /** Did not come to an end in its time, or threw. */
  hung: number
  /** One line for each of the last three. */
  cases: string[]
}

export const tallyOf = (part: string): Tally => ({
  part,
  tries: 0,
  asked: 0,
  kept: 0,
  lost: 0,
  twice: 0,
  hung: 0,
  cases: [],
})

const COLUMNS = ['part', 'tries', 'asked', 'kept', 'lost', 'twice', 'hung'] as const
const MOST_CASES = 12

/** Prints the tallies as a table, and what went wrong under it. @returns whether nothing did */
export function printTallies(tallies: readonly Tally[]): boolean {
  const rows = [COLUMNS.map(String), ...tallies.map((tally) => COLUMNS.map((column) => String(tally[column])))]
  const widths = COLUMNS.map((_, i) => Math.max(...rows.map((row) => row[i]!.length)))
  for (const row of rows)
    console.log(row.map((cell, i) => (i === 0 ? cell.padEnd(widths[i]!) : cell.padStart(widths[i]!))).join('  '))
  for (const { part, cases } of tallies) for (const one of cases.slice(0, MOST_CASES)) console.log(`${part}: ${one}`)
  return tallies.every(({ lost, twice, hung }) => lost + twice + hung === 0)
}
