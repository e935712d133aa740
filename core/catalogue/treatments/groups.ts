/** Groups of agents as the interactions name them, quarantine.md 2 and 6. */
const GROUPS: Record<string, readonly string[]> = {
  'cu-any': ['cu-chelated', 'cu-amine', 'cu-ion'],
  'antibiotic-any': ['kanamycin', 'ciprofloxacin', 'nitrofurazone', 'enrofloxacin'],
  'tank-drug-any': [
    'cu-chelated',
    'cu-amine',
    'cu-ion',
    'chloroquine',
    'metronidazole',
    'praziquantel',
    'fenbendazole',
    'levamisole',
    'formalin',
    'kanamycin',
    'methylene-blue',
    'malachite-green',
    'permanganate',
    'diflubenzuron',
  ],
}

/** The agents an id stands for: a group's members, or itself. */
export const agentsIn = (id: string): readonly string[] => GROUPS[id] ?? [id]

/** Whether an agent is what an id names, alone or as a member of its group. */
export const isAgentIn = (agent: string, id: string): boolean => agentsIn(id).includes(agent)

export const isCopper = (agent: string): boolean => isAgentIn(agent, 'cu-any')

export const AGENT_GROUPS = Object.keys(GROUPS)
