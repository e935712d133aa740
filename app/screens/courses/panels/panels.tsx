import type { ReactNode } from 'react'
import type { Track } from '../../../../core/catalogue/courses/definitions.ts'
import { isDrugPlan, type CoursePlan } from '../../../../core/courses/plan.ts'
import { DrugPanel } from './DrugPanel.tsx'
import { FishlessPanel } from './FishlessPanel.tsx'
import { MovesPanel } from './MovesPanel.tsx'
import { PatchPanel } from './PatchPanel.tsx'
import { WatchPanel } from './WatchPanel.tsx'

/** What kinds of track there are, as their panels tell them apart. */
export type PanelKind = 'drug' | 'no-signs' | 'no-fish' | 'move' | 'bath' | 'series'

export const panelKindOf = (track: Track): PanelKind =>
  track.kind === 'hold' ? track.by : track.kind === 'rounds' ? track.of : 'series'

/** A panel a track kind. Baths stand among the moves that they go with. */
export const PANELS: Record<PanelKind, (plan: CoursePlan) => ReactNode> = {
  drug: (plan) => (isDrugPlan(plan) ? <DrugPanel plan={plan} /> : null),
  'no-signs': (plan) => (plan.observation ? <WatchPanel plan={plan} observation={plan.observation} /> : null),
  'no-fish': (plan) => (plan.fishless ? <FishlessPanel plan={plan} fishless={plan.fishless} /> : null),
  move: (plan) => (plan.rounds ? <MovesPanel plan={plan} rounds={plan.rounds} /> : null),
  bath: () => null,
  series: (plan) => (plan.series ? <PatchPanel plan={plan} series={plan.series} /> : null),
}
