import { definitionById } from '../catalogue/courses/definitions.ts'
import { ingredientById } from '../catalogue/ingredient.ts'
import { doseById } from '../catalogue/treatments/treatments.ts'
import { capital } from '../words/numbers.ts'
import type { Course } from './course.ts'

const AGENT_WORDS: Record<string, string> = {
  'cu-chelated': 'Copper, chelated',
  'cu-amine': 'Copper, amine-complexed',
  'cu-ion': 'Copper sulphate',
}

/** An agent in a word: its salt is not told where its name begins the same. */
export function agentWord(agent: string): string {
  const name = ingredientById(agent)?.name ?? agent
  return name.startsWith(agent) ? agent : name
}

/** What a course is called: "Copper, chelated, fourteen days then move"; without a drug its definition's name. */
export function courseName(definitionId: string, doseId: string | undefined): string {
  const definition = definitionById(definitionId)
  const name = definition?.name ?? definitionId
  return doseId === undefined || definition?.drugs.length === 0 ? capital(name) : [drugName(doseId), name].join(', ')
}

/** What a dose's drug is called where room is scarce: "Copper, chelated". */
export function drugName(doseId: string): string {
  const dose = doseById(doseId)
  const agent = dose ? (AGENT_WORDS[dose.agent] ?? capital(agentWord(dose.agent))) : doseId
  return doseId.endsWith('-gentle') ? `${agent}, gentle` : agent
}

/** What a course is called where room is scarce: by its drug, else by its definition. */
export const shortCourseName = ({ dose, definition }: Pick<Course, 'dose' | 'definition'>): string =>
  dose ? drugName(dose.id) : capital(definition.name)

/** What a course is called in full. */
export const fullCourseName = ({ dose, definition }: Pick<Course, 'dose' | 'definition'>): string =>
  courseName(definition.id, dose?.id)
