import { useMemo, useRef, useState } from 'react'
import { styled } from 'styled-components'
import type { Followed } from '../../../../core/acclimation/follow.ts'
import { offWords, releaseContents, releaseSteps } from '../../../../core/arrivals/run/release.ts'
import type { Run } from '../../../../core/arrivals/run/runs.ts'
import type { Content } from '../../../../core/journal/entry.ts'
import { iso } from '../../../../core/time/zone.ts'
import { thisInstant, useNow } from '../../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../../journal/keeping.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { PlainButton } from '../../../look/buttons.ts'
import { Bar, Line, Small, Stack } from '../../../look/text.ts'
import { DoubtList, useDoubts } from '../../../safety/Doubts.tsx'
import { tankName } from '../../../words/entries.ts'

const Step = styled.button`
  display: grid;
  grid-template-columns: 34px minmax(0, 1fr);
  gap: 12px;
  width: 100%;
  min-height: 64px;
  align-items: center;
  padding: 10px 4px;
  border: 0;
  border-bottom: 1px dotted var(--strong-rule);
  background: none;
  text-align: start;
  font-size: 18px;
  line-height: 1.35;
  cursor: pointer;
  & > span:first-child {
    width: 30px;
    height: 30px;
    border: 2px solid var(--second);
    border-radius: 2px;
    display: grid;
    place-items: center;
    font-weight: 700;
    color: var(--on-second);
  }
  &[aria-pressed='true'] > span:first-child {
    background: var(--second);
  }
  &[aria-pressed='true'] {
    color: var(--quiet);
  }
`

const Big = styled.button`
  width: 100%;
  min-height: 84px;
  border: 0;
  border-radius: 2px;
  background: var(--second);
  color: var(--on-second);
  font-size: 22px;
  font-weight: 700;
  cursor: pointer;
  &:disabled {
    background: none;
    color: var(--quiet);
    border: 1.5px solid var(--strong-rule);
    cursor: default;
  }
`

const Know = styled.label`
  display: flex;
  gap: 10px;
  align-items: flex-start;
  min-height: 44px;
  cursor: pointer;
  input {
    width: 22px;
    height: 22px;
    margin: 0;
    flex: none;
    accent-color: var(--act);
  }
`

/** The move from the container to the tank, step by step; what is still off is said before it is done. */
export function Release({ run, followed, onBack }: { run: Run; followed: Followed; onBack: () => void }) {
  const { journal, settings } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const [knows, setKnows] = useState(false)
  const steps = releaseSteps(journal, run)
  const open = steps.filter(({ id }) => !run.steps.has(id))
  const { off, isMeasured } = followed
  const isTrue = off.length === 0
  // A quick second tap on another step is not lost while the first is being kept; a second on the same does nothing.
  const underWay = useRef(new Set<string>())
  const tick = async (step: string): Promise<void> => {
    if (underWay.current.has(step)) return
    underWay.current.add(step)
    const content: Content = {
      kind: 'acclimation-event',
      happened: iso(thisInstant()),
      runId: run.id,
      event: 'step',
      step,
    }
    await keep([content])
    underWay.current.delete(step)
  }
  const now = useNow()
  const doubts = useDoubts(useMemo(() => releaseContents(journal, run, now), [journal, run, now]))
  const across = () => keep(doubts.answered(releaseContents(journal, run, thisInstant())))
  return (
    <section aria-label="Across">
      <Stack $gap={16} style={{ maxWidth: 720 }}>
        {!isTrue ? (
          <Bar $tone="act" role="status">
            Not near enough yet: {offWords(off, settings.units)}.
          </Bar>
        ) : (
          !isMeasured && (
            <Bar $tone="soon" role="status">
              Near enough by reckoning, not measured since.
            </Bar>
          )
        )}
        <DoubtList doubts={doubts} />
        <div>
          {steps.map(({ id, words, caution }) => (
            <div key={id}>
              {caution && !run.steps.has(id) && (
                <Bar $tone="act" style={{ marginTop: 10 }}>
                  {caution}
                </Bar>
              )}
              <Step
                type="button"
                aria-pressed={run.steps.has(id)}
                disabled={run.steps.has(id)}
                onClick={() => void tick(id)}
              >
                <span aria-hidden="true">{run.steps.has(id) ? '✓' : ''}</span>
                <span>{words}</span>
              </Step>
            </div>
          ))}
        </div>
        {!isTrue && (
          <Know>
            <input type="checkbox" checked={knows} onChange={(event) => setKnows(event.target.checked)} />
            <span>Across all the same: what is off is written down with it.</span>
          </Know>
        )}
        {unkept && <UnkeptNote unkept={unkept} />}
        <Big
          type="button"
          disabled={busy || open.length > 0 || (!isTrue && !knows) || !doubts.isClear}
          onClick={() => void across()}
        >
          {open.length > 0
            ? `${open.length} ${open.length === 1 ? 'step' : 'steps'} still open`
            : `In ${tankName(journal, run.start.tankId)}: log it`}
        </Big>
        <Line>
          <PlainButton onPress={onBack}>back to the clock</PlainButton>
          <Small>Lights stay off for its first day; the ledger asks for the first meal and the head count.</Small>
        </Line>
      </Stack>
    </section>
  )
}
