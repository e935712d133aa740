import { doseById } from '../catalogue/treatments/treatments.ts'

const AGENT_WORDS: Record<string, string> = {
  'cu-chelated': 'Copper, chelated',
  'cu-amine': 'Copper, amine-complexed',
  'cu-ion': 'Copper sulphate',
}
const LENGTH_WORDS: Record<string, string> = { 'qt-b-drug14': 'fourteen days then move', 'qt-a-cu30': 'thirty days' }

/** What a course is called: "Copper, chelated, fourteen days then move". */
export function courseName(protocol: string, doseId: string): string {
  return [shortCourseName(doseId), LENGTH_WORDS[protocol] ?? protocol].join(', ')
}

/** What a course is called where room is scarce: "Copper, chelated". */
export function shortCourseName(doseId: string): string {
  const dose = doseById(doseId)
  const agent = dose ? (AGENT_WORDS[dose.agent] ?? dose.agent) : doseId
  return doseId.endsWith('-gentle') ? `${agent}, gentle` : agent
}
