import '../../courses/steps/antibiotic-steps.ts'
import '../../courses/steps/back-steps.ts'
import '../../courses/steps/ladder-steps.ts'
import '../../courses/steps/raise-steps.ts'
import '../../courses/steps/round-steps.ts'
import '../../courses/steps/salinity-steps.ts'
import '../../courses/warnings/ward-warnings.ts'
import { ADD_ONS } from './add-ons.data.ts'
import { ANTIBIOTICS } from './antibiotics.data.ts'
import { CORAL_COURSES } from './corals.data.ts'
import type { Definition } from './definition.ts'
import { addDefinitions } from './definitions.ts'
import { FALLOW_COURSES } from './fallow.data.ts'
import { FURTHER_SCHOOLS } from './further-schools.data.ts'
import { AFTERCARE } from './plans/aftercare.data.ts'
import { CONDITION_PLANS } from './plans/conditions.data.ts'
import { DECLINE_PLANS } from './plans/decline.data.ts'
import { DINO_PLANS } from './plans/dinos.data.ts'
import { FILM_PLANS } from './plans/films.data.ts'
import { PEROXIDE_SPOT } from './plans/peroxide-spot.data.ts'
import { PEROXIDE_PLANS } from './plans/peroxide.data.ts'
import { PLANARIA_PLANS } from './plans/planaria.data.ts'
import { PEST_PLANS } from './plans/pests.data.ts'
import { REST_COURSES } from './rest.data.ts'
import { SCHOOL_COURSES } from './schools.data.ts'
import { TRANSFER_COURSES } from './transfers.data.ts'

/**
 * Every course that the engine runs, by the handbooks’ own ids. Importing this file makes all of them known to `definitionById`: the
 * command line, the worker, the tests and the screens that choose among them do so.
 */
export const DEFINITIONS: readonly Definition[] = [
  ...SCHOOL_COURSES,
  ...TRANSFER_COURSES,
  ...FURTHER_SCHOOLS,
  ...ADD_ONS,
  ...ANTIBIOTICS,
  ...REST_COURSES,
  ...FALLOW_COURSES,
  ...CORAL_COURSES,
  ...PEROXIDE_SPOT,
  ...PEROXIDE_PLANS,
  ...FILM_PLANS,
  ...DINO_PLANS,
  ...CONDITION_PLANS,
  ...PEST_PLANS,
  ...PLANARIA_PLANS,
  ...DECLINE_PLANS,
  ...AFTERCARE,
]

addDefinitions(DEFINITIONS)
