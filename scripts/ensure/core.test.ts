import { spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { ramped } from '../../core/courses/testing/ward.ts'
import { FORMAT_NAME, FORMAT_VERSION } from '../../core/journal/format.ts'

/** The command as README names it, in a process of its own: what is bundled or loaded wrongly fails here. */
const run = (command: string, input = '') => {
  const { stdout, stderr, status } = spawnSync('sh', ['-c', command], { input, encoding: 'utf8' })
  return { stdout, stderr, status }
}

test('`npm run core` says what speaks against an entry', () => {
  const it = ramped()
  const journal = {
    format: FORMAT_NAME,
    version: FORMAT_VERSION,
    exported: '2026-12-31T00:00:00Z',
    entries: it.journal.entries(),
  }
  const { happened } = it.at(3, '09:00')
  const proposed = {
    kind: 'arrival',
    happened,
    animalId: 'u',
    tankId: 'quar',
    species: 'urchin',
    group: 'star-urchin',
    count: 1,
  }
  const { stdout, status } = run(
    'npm run --silent core -- courses.concerns',
    JSON.stringify({ journal, now: happened, proposed }),
  )
  expect(JSON.parse(stdout)).toMatchObject([{ rule: 'drug-invert', severity: 'never' }])
  expect(status).toBe(0)
})

test('what README shows works as it stands', () => {
  const shown = readFileSync('README.md', 'utf8')
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line.includes('npm run --silent core') && !line.includes('lines.jsonl'))
  expect(shown.length).toBeGreaterThanOrEqual(2)
  for (const line of shown) {
    const { stdout, status } = run(line)
    expect(status).toBe(0)
    expect(stdout.length).toBeGreaterThan(20)
  }
})
