import { useState } from 'react'
import { styled } from 'styled-components'
import { definitionById } from '../../../core/catalogue/courses/definitions.ts'
import { isActOff } from '../../../core/courses/acts/act-off.ts'
import { contentsRead } from '../../../core/courses/acts/act-read.ts'
import {
  hostsOfCount,
  isDipCount,
  NOT_COUNTED,
  readDipCount,
  type HostCount,
} from '../../../core/courses/acts/read-count.ts'
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

/** What came off in a round, or was seen at a look: host by host, or nothing on any of them at one press. */
export function DipCountAct({ plan, task, next }: ActProps) {
  const { keep, busy, unkept } = useKeeping()
  const isDip = isDipCount(task)
  const hosts = hostsOfCount(plan, task)
  const [counts, setCounts] = useState<Readonly<Record<string, HostCount>>>({})
  const [isOpen, setIsOpen] = useState(isDip)
  const [pest, setPest] = useState('')
  const Do = next ? PrimaryButton : Button
  const of = (id: string) => counts[id] ?? NOT_COUNTED
  const set = (id: string, change: Partial<HostCount>) => setCounts({ ...counts, [id]: { ...of(id), ...change } })
  const log = async (isNothing: boolean) => {
    const read = readDipCount(plan, task, isNothing ? null : counts, thisInstant(), pest === '' ? undefined : pest)
    if (await keep(contentsRead(read))) setCounts({})
  }
  if (hosts.length === 0) return <Small>No coral is named yet.</Small>
  const isFound = hosts.some(({ id }) => (of(id).cameOff ?? 0) > 0 || (of(id).eggs ?? 0) > 0)
  const pests = definitionById(plan.course.definition.id)?.options.find(({ id }) => id === 'pest')?.choices ?? []
  const counted = hosts.filter(({ id }) => of(id).cameOff !== null)
  const isOff = busy || isActOff(task, thisInstant())
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
      {isFound && (
        <label>
          Which pest was it?{' '}
          <select value={pest} onChange={(event) => setPest(event.target.value)}>
            <option value="">not known, or as before</option>
            {pests
              .filter(({ id }) => id !== 'none')
              .map(({ id, label }) => (
                <option key={id} value={id}>
                  {label}
                </option>
              ))}
          </select>
          <Small>It sets the pace of the dips from this round on.</Small>
        </label>
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
