import { PROSE } from '../../core/catalogue/courses/prose.data.ts'
import { DEFINITIONS } from '../../core/catalogue/courses/all-definitions.ts'
import type { Condition, Definition, Only, Quantity, Step, Track } from '../../core/catalogue/courses/definition.ts'

const cell = (text: string): string => text.replaceAll('|', '\\|')

const onlyWords = ({ only }: { only?: Only }): string => (only ? ` (${only.option}: ${only.is.join(', ')})` : '')

function trackWords(track: Track): string {
  if (track.kind === 'series')
    return `series of ${track.measure}; expected at least ${track.expected
      .map(({ value, byDay }) => `${value} by day ${byDay}`)
      .join(', ')}; no response by day ${track.silentByDay}: something else`
  if (track.kind === 'measure')
    return `measure of ${track.measure} (${track.of}), ${track.better} is better${track.silentByDay === null ? '' : `; no real change by day ${track.silentByDay}: something else`}`
  if (track.kind === 'rounds' && track.of === 'dose')
    return `rounds of ${track.dose}: ${track.need}, ${track.apart.map((hours) => hours.join('–')).join(', then ')} h apart (least, best, most); the first ${track.first.hours.join('–')} h after ${typeof track.first.after === 'string' ? `the ${track.first.after}` : `${track.first.after.full} is full`}; a late one ${track.missed === 'redo' ? 'begins a new pair' : 'ends the count later'}`
  if (track.kind === 'rounds' && track.of === 'dip')
    return 'rounds of dips of every host, paced by the pest and the option `pace`; only rounds in which every host was dipped and counted and nothing was seen are counted, and an animal or eggs seen begin them again'
  if (track.kind === 'rounds')
    return track.of === 'move'
      ? `rounds of moves: at most ${track.rule.maxIntervalHours} h apart, ${track.rule.minTransfers} at least, ${track.rule.minTotalHours} h in all; a late one becomes hour 0`
      : `rounds of baths: ${track.need}, ${track.apartHours.join('–')} h apart (least, best, most), each followed by a move within ${track.moveWithinHours} h; a pair that is off is done again`
  if (track.by === 'salinity')
    return `hold of the salinity for ${track.days} days, broken over ${track.high} alone; aim ${track.target}, under ${track.low} is a warning`
  if (track.by === 'elapsed') return `${track.days} whole local days from the start`
  if (track.by === 'no-fish')
    return `hold of ${track.days === 'option' ? 'the chosen number of' : track.days} whole local days without fish, logged${track.leastC === undefined ? '' : `; at ${track.leastC} °C and over, else ${track.elseDays}`}`
  return track.by === 'drug'
    ? `hold of the drug’s range for ${track.days} days: proven by readings, or logged where no test exists`
    : `hold without signs for ${track.days} days, logged`
}

function dueWords({ due }: Step): string {
  if ('by' in due) return `worked out: ${due.by}`
  const last = due.until ?? due.day
  const every = due.every
    ? `, every ${due.every} d until ${last === 'end' ? 'the end of the treatment' : `day ${last}`}`
    : ''
  return `day ${due.day}${due.of === 'end' ? ' after the end of the treatment' : ''}${every}${due.alternateWith ? `; every other day with ${due.alternateWith}` : ''}`
}

function quantityWords(quantity: Quantity): string {
  if (typeof quantity === 'number') return String(quantity)
  if ('day' in quantity) return 'the day of the course'
  if ('parameter' in quantity || 'measure' in quantity) {
    const what = 'parameter' in quantity ? quantity.parameter : quantity.measure
    const said =
      quantity.at === 'start'
        ? `${what} of the start`
        : quantity.at === 'day-change'
          ? `${what} since a day ago`
          : `last ${what}`
    return quantity.times === undefined ? said : `${quantity.times} × ${said}`
  }
  if ('dayCap' in quantity) return `the most that ${quantity.of} may ${quantity.dayCap} in a day`
  if ('bandEnd' in quantity) return `the ${quantity.bandEnd} end of its band (else ${quantity.usual})`
  if ('rounds' in quantity) return `sessions of ${quantity.rounds}`
  return `${quantity.of} ${quantity.arm} of ${quantity.series}`
}

function conditionWords(condition: Condition): string {
  if ('all' in condition) return condition.all.map(conditionWords).join(' and ')
  if ('any' in condition) return condition.any.map(conditionWords).join(' or ')
  if ('left' in condition) {
    const { left, op, right, onLast, apartHours, forDays } = condition
    const during =
      onLast !== undefined
        ? ` on the last ${onLast}, ${apartHours ?? 0} h apart`
        : forDays !== undefined
          ? ` for ${forDays} days`
          : ''
    return `${quantityWords(left)} ${op} ${quantityWords(right)}${during}`
  }
  if ('track' in condition) return `${condition.track} is full`
  if ('sign' in condition) return `${condition.sign.join(' or ')} within ${condition.withinHours} h`
  if ('unexplainedDeath' in condition)
    return `a death without a cause within ${condition.unexplainedDeath.withinDays} d`
  if ('not' in condition) return `not (${conditionWords(condition.not)})`
  if ('asks' in condition) return `asked: ${condition.asks}`
  return `judged: ${condition.judged}`
}

const table = (head: readonly string[], rows: readonly (readonly string[])[]): string =>
  [
    `| ${head.join(' | ')} |`,
    `|${head.map(() => '---').join('|')}|`,
    ...rows.map((row) => `| ${row.map(cell).join(' | ')} |`),
  ].join('\n')

function section(definition: Definition): string {
  const { id, name, kind, drugs, roles, options, tracks, steps, rules } = definition
  const { what, source } = PROSE[id]!
  return `## ${id}

${name}, a ${kind}. ${what} Source: ${source}.

- roles: ${roles.map(({ role, must }) => `\`${role}\`${must ? '' : ' (may be left out)'}`).join(', ')}
${drugs.length > 0 ? `- option \`drug\`: ${drugs.map((one, i) => `\`${one}\`${i === 0 ? ' (default)' : ''}`).join(', ')}\n` : ''}${options
    .map(
      (option) =>
        `- option \`${option.id}\`: ${option.choices.map((one, i) => `\`${one.id}\`${i === 0 ? ' (default)' : ''}`).join(', ')}\n`,
    )
    .join('')}
${table(
  ['track', 'what'],
  tracks.map((track) => [`\`${track.id}\`${onlyWords(track)}`, trackWords(track)]),
)}

${table(
  ['step', 'act', 'when', 'what', 'waits for'],
  steps.map((step) => [
    `\`${step.id}\`${onlyWords(step)}`,
    step.act,
    dueWords(step),
    step.title,
    (step.needs ?? []).map((one) => `\`${one}\``).join(', '),
  ]),
)}

${table(
  ['rule', 'role', 'in words', 'condition', 'then'],
  rules.map((rule) => [
    `\`${rule.id}\`${onlyWords(rule)}`,
    rule.role,
    rule.says,
    conditionWords(rule.when),
    rule.then ?? '',
  ]),
)}
`
}

/** docs/courses.md: every definition with its tracks, steps and rules, written from the catalogue. */
export const coursesDocument = (): string => `# Courses

Written from core/catalogue/courses by \`npm run generate\`; a test fails when it is out of date.

One engine (core/courses) reads these definitions. \`courses.standing\` names tracks, steps and rules by the ids below; a task’s id is
\`course/step/ordinal\`. A course of a definition that is not here is shown, with a word that a newer version works it out.

${DEFINITIONS.map(section).join('\n')}`
