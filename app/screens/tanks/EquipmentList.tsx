import { useState } from 'react'
import { styled } from 'styled-components'
import { equipmentOf, type EquipmentItem, type Tank } from '../../../core/household/tanks.ts'
import type { ContentOf } from '../../../core/journal/entry.ts'
import { iso } from '../../../core/time/zone.ts'
import { thisInstant } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, PlainButton } from '../../look/buttons.ts'
import { Heading, Line, Quiet, Rows, Small, Stack } from '../../look/text.ts'
import { DoubtList, useDoubts } from '../../safety/Doubts.tsx'
import { EQUIPMENT_NAMES } from '../../words/entries.ts'
import { capital } from '../../../core/words/numbers.ts'

const Item = styled.div`
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
`

/** What stands at a tank and must be switched for treatments; each switch is an entry of the journal. */
export function EquipmentList({ tank }: { tank: Tank }) {
  const { journal } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const [adding, setAdding] = useState(false)
  const items = equipmentOf(journal, tank.id)
  /** A switch that the water speaks against, waiting for an answer. */
  const [waiting, setWaiting] = useState<ContentOf<'equipment'> | null>(null)
  const doubts = useDoubts(waiting ? [waiting] : [])
  const set = async (item: EquipmentItem, running: boolean, removed = false) => {
    const content: ContentOf<'equipment'> = {
      kind: 'equipment',
      happened: iso(thisInstant()),
      tankId: tank.id,
      item,
      running,
      ...(removed && { removed }),
    }
    if (!doubts.isClearFor([content])) return setWaiting(content)
    if (await keep(doubts.answered([content]))) setWaiting(null)
  }
  const missing = (Object.keys(EQUIPMENT_NAMES) as EquipmentItem[]).filter(
    (item) => !items.some((one) => one.item === item),
  )
  return (
    <section>
      <Heading>Equipment</Heading>
      <Rows>
        {items.map(({ item, running }) => (
          <li key={item}>
            <Item>
              <span>
                {capital(EQUIPMENT_NAMES[item])} <Quiet>{running ? 'runs' : 'is off'}</Quiet>
              </span>
              <Line $gap={16}>
                <PlainButton
                  onPress={() => void set(item, !running)}
                  isDisabled={busy}
                  aria-label={`Switch ${EQUIPMENT_NAMES[item]} ${running ? 'off' : 'on'}`}
                >
                  switch {running ? 'off' : 'on'}
                </PlainButton>
                <PlainButton
                  onPress={() => void set(item, false, true)}
                  isDisabled={busy}
                  aria-label={`Take ${EQUIPMENT_NAMES[item]} away`}
                >
                  take away
                </PlainButton>
              </Line>
            </Item>
          </li>
        ))}
      </Rows>
      {items.length === 0 && (
        <Small style={{ paddingTop: 10 }}>
          None on record. What runs here decides what a treatment must switch off first.
        </Small>
      )}
      {waiting && (
        <Stack $gap={10} style={{ paddingTop: 12 }}>
          <DoubtList doubts={doubts} />
          <Line>
            <Button onPress={() => void set(waiting.item, waiting.running)} isDisabled={busy || !doubts.isClear}>
              Switch {EQUIPMENT_NAMES[waiting.item]} on all the same
            </Button>
            <PlainButton onPress={() => setWaiting(null)}>leave it off</PlainButton>
          </Line>
        </Stack>
      )}
      {unkept && <UnkeptNote unkept={unkept} />}
      <div style={{ paddingTop: 12 }}>
        {adding ? (
          <Line>
            {missing.map((item) => (
              <Button key={item} onPress={() => void set(item, true).then(() => setAdding(false))} isDisabled={busy}>
                {EQUIPMENT_NAMES[item]}
              </Button>
            ))}
            <PlainButton onPress={() => setAdding(false)}>done</PlainButton>
          </Line>
        ) : (
          missing.length > 0 && <Button onPress={() => setAdding(true)}>Add equipment</Button>
        )}
      </div>
    </section>
  )
}
