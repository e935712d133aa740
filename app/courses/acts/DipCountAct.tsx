import { useState } from 'react'
import { styled } from 'styled-components'
import type { Content } from '../../../core/journal/entry.ts'
import { iso } from '../../../core/time/zone.ts'
import { Stepper } from '../../fields/Stepper.tsx'
import { thisInstant } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { Button, PlainButton, PrimaryButton } from '../../look/buttons.ts'
import { Line, Small } from '../../look/text.ts'
import type { ActProps } from './act-props.ts'

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 18px;
  padding: 8px 0;
  border-bottom: 1px dotted var(--strong-rule);
  > strong {
    flex: 1 1 100%;
  }
`

const Tick = styled.label`
  display: inline-flex;
  align-items: center;
  gap: 8px;
  min-height: 44px;
  font-size: 15px;
  input {
    width: 22px;
    height: 22px;
    accent-color: var(--second);
  }
`

interface Counted {
  cameOff: number | null
  eggs: number | null
  brushed: boolean
}

const NOTHING: Counted = { cameOff: null, eggs: null, brushed: false }

/** What came off in a round, or was seen at a look: host by host, or nothing on any of them at one press. */
export function DipCountAct({ plan, task, next }: ActProps) {
  const { keep, busy, unkept } = useKeeping()
  const isDip = task.measure === 'came-off'
  // Of a round those that were not counted yet.
  const hosts = (isDip ? plan.dips?.rounds.at(-1)?.uncounted : plan.dips?.hosts) ?? []
  const [counts, setCounts] = useState<Readonly<Record<string, Counted>>>({})
  const [isOpen, setIsOpen] = useState(isDip)
  const Do = next ? PrimaryButton : Button
  const of = (id: string) => counts[id] ?? NOTHING
  const set = (id: string, change: Partial<Counted>) => setCounts({ ...counts, [id]: { ...of(id), ...change } })
  const base = (at: number) => ({
    kind: 'count' as const,
    happened: iso(at),
    tankId: plan.course.tankId,
    courseId: plan.course.id,
    taskId: task.id,
  })
  const contents = (isNothing: boolean): Content[] => {
    const at = thisInstant()
    const parts = (value: (one: Counted) => number | null) =>
      hosts.flatMap(({ id }) => {
        const counted = isNothing ? 0 : value(of(id))
        return counted === null ? [] : [{ partId: id, value: counted }]
      })
    const measured = (
      measure: 'came-off' | 'eggs' | 'brushed' | 'pest-count',
      value: (one: Counted) => number | null,
    ) => {
      const of = parts(value)
      return of.length === 0 ? [] : [{ ...base(at), measure, parts: of }]
    }
    if (!isDip) return measured('pest-count', ({ cameOff, eggs }) => (cameOff ?? 0) + (eggs ?? 0))
    return [
      ...measured('came-off', ({ cameOff }) => cameOff),
      ...(isNothing ? [] : measured('eggs', ({ eggs }) => eggs)),
      ...(isNothing ? [] : measured('brushed', ({ brushed }) => (brushed ? 1 : null))),
    ]
  }
  const log = async (isNothing: boolean) => {
    if (await keep(contents(isNothing))) setCounts({})
  }
  if (hosts.length === 0) return <Small>No coral is named yet.</Small>
  const counted = hosts.filter(({ id }) => of(id).cameOff !== null)
  const isOff = busy || task.state === 'ahead'
  return (
    <>
      {isOpen && (
        <div>
          {hosts.map(({ id, name }) => (
            <Row key={id}>
              <strong>{name}</strong>
              <Stepper
                label={isDip ? 'came off' : 'seen'}
                of={name}
                value={of(id).cameOff}
                onChange={(cameOff) => set(id, { cameOff })}
              />
              <Stepper
                label="eggs"
                of={name}
                value={of(id).eggs}
                onChange={(eggs) => set(id, { eggs, cameOff: of(id).cameOff ?? 0 })}
              />
              {isDip && (
                <Tick>
                  <input
                    type="checkbox"
                    aria-label={`edges brushed, ${name}`}
                    checked={of(id).brushed}
                    onChange={(event) => set(id, { brushed: event.target.checked })}
                  />
                  edges brushed
                </Tick>
              )}
            </Row>
          ))}
        </div>
      )}
      <Line $gap={14}>
        {counted.length === 0 ? (
          <Do onPress={() => void log(true)} isDisabled={isOff}>
            Nothing on any coral
          </Do>
        ) : (
          <Do onPress={() => void log(false)} isDisabled={isOff}>
            {counted.length === hosts.length ? 'Log the counts' : `Log ${counted.length} of ${hosts.length}`}
          </Do>
        )}
        {!isOpen && <PlainButton onPress={() => setIsOpen(true)}>something was seen</PlainButton>}
      </Line>
      {unkept && <UnkeptNote unkept={unkept} />}
    </>
  )
}
