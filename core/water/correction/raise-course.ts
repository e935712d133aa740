/** Which plan follows a value that is raised over days: outbreaks.md 5.1, element-correct and nutrient-raise. */
const PLAN_OF: Readonly<Record<string, string>> = {
  k: 'element-correct',
  ca: 'element-correct',
  mg: 'element-correct',
  'alk-kh': 'element-correct',
  no3: 'nutrient-raise',
  po4: 'nutrient-raise',
}

/**
 * The course that tests what is raised, day by day, with its stop rules.
 * @returns null for what no plan raises
 * @example raiseCourse('k') // { definition: 'element-correct', choice: 'k' }
 */
export function raiseCourse(parameterId: string): { definition: string; choice: string } | null {
  const definition = PLAN_OF[parameterId]
  return definition === undefined ? null : { definition, choice: parameterId }
}
