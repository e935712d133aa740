import type { Journal } from '../../journal/journal.ts'

/** Whether any acclimation is under way: asked on every screen, so it reads no more than starts and ends. */
export const hasLiveRun = (journal: Journal): boolean =>
  journal.derive('has-live-run', ['kind:acclimation-start', 'kind:acclimation-end'], () => {
    const ended = new Set(journal.ofKind('acclimation-end').map(({ content }) => content.runId))
    return journal.ofKind('acclimation-start').some(({ content }) => !ended.has(content.runId))
  })
