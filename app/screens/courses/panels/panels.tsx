import type { ReactNode } from 'react'
import type { Track } from '../../../../core/catalogue/courses/definitions.ts'
import { isDrugPlan, type CoursePlan } from '../../../../core/courses/plan.ts'
import { DaysPanel } from './DaysPanel.tsx'
import { DipsPanel } from './DipsPanel.tsx'
import { DosesPanel } from './DosesPanel.tsx'
import { DrugPanel } from './DrugPanel.tsx'
import { FishlessPanel } from './FishlessPanel.tsx'
import { MeasurePanel } from './MeasurePanel.tsx'
import { MovesPanel } from './MovesPanel.tsx'
import { PatchPanel } from './PatchPanel.tsx'
import { SalinityPanel } from './SalinityPanel.tsx'
import { WatchPanel } from './WatchPanel.tsx'

/** What kinds of track there are, as their panels tell them apart. */
export type PanelKind =
  'drug' | 'no-signs' | 'no-fish' | 'salinity' | 'elapsed' | 'move' | 'bath' | 'dose' | 'dip' | 'series' | 'measure'

/** Which panel a track has. */
export const panelKindOf = (track: Track): PanelKind =>
  track.kind === 'hold' ? track.by : track.kind === 'rounds' ? track.of : track.kind

/** A panel a track kind. Baths stand among the moves that they go with. */
export const PANELS: Record<PanelKind, (plan: CoursePlan, trackId: string) => ReactNode> = {
  drug: (plan) => (isDrugPlan(plan) ? <DrugPanel plan={plan} /> : null),
  'no-signs': (plan) => (plan.observation ? <WatchPanel plan={plan} observation={plan.observation} /> : null),
  'no-fish': (plan) => (plan.fishless ? <FishlessPanel plan={plan} fishless={plan.fishless} /> : null),
  move: (plan) => (plan.rounds ? <MovesPanel plan={plan} rounds={plan.rounds} /> : null),
  bath: () => null,
  dose: (plan, trackId) =>
    plan.doses
      .filter(({ track }) => track.id === trackId)
      .map((doses) => <DosesPanel key={trackId} plan={plan} doses={doses} />),
  dip: (plan) => (plan.dips ? <DipsPanel plan={plan} dips={plan.dips} /> : null),
  salinity: (plan) => (plan.salinity ? <SalinityPanel plan={plan} salinity={plan.salinity} /> : null),
  elapsed: (plan) => (plan.elapsed ? <DaysPanel plan={plan} elapsed={plan.elapsed} /> : null),
  measure: (plan, trackId) =>
    plan.measures
      .filter(({ track }) => track.id === trackId)
      .map((measure) => <MeasurePanel key={trackId} plan={plan} measure={measure} />),
  series: (plan) => (plan.series ? <PatchPanel plan={plan} series={plan.series} /> : null),
}
