import { PANELS, panelKindOf } from '../../screens/courses/panels/panels.tsx'
import { DEFINITIONS } from '../../../core/catalogue/courses/all-definitions.ts'
import { ACTS } from './TaskAct.tsx'

test('every act of every step has its doing, every track its panel', () => {
  for (const { steps, tracks } of DEFINITIONS) {
    for (const { act } of steps) expect(ACTS[act]).toBeInstanceOf(Function)
    for (const track of tracks) expect(PANELS[panelKindOf(track)]).toBeInstanceOf(Function)
  }
})
