import { useState } from 'react'
import { Form } from 'react-aria-components'
import {
  mixedWaterContent,
  mixedWaterFaults,
  mixedWaters,
  NEW_WATER_TESTS,
  type MixedWater as Mixed,
} from '../../../core/water/mixed-water.ts'
import { dayBeside } from '../../../core/time/words.ts'
import { measureText, shownUnit, toKept } from '../../../core/words/measure.ts'
import { capital, figures } from '../../../core/words/numbers.ts'
import { parameterValue, quantityText } from '../../../core/words/quantities.ts'
import { numberIn } from '../../fields/number-in.ts'
import { FigureField } from '../../fields/plain.tsx'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, PlainButton, PrimaryButton } from '../../look/buttons.ts'
import { FieldGrid } from '../../look/page.ts'
import { Heading, Line, Quiet, Rows, Small, Stack } from '../../look/text.ts'

const SHOWN = 4

/** Water that was mixed for changes: what it holds, and how old it is. */
export function MixedWater() {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const [isOpen, setIsOpen] = useState(false)
  const records = mixedWaters(journal)
  const { clock } = settings
  const heldWords = ({ psu, saltG, readings }: Mixed) =>
    [
      psu === null ? null : quantityText(parameterValue('salinity', psu, settings.units)),
      saltG === null ? null : `${figures(saltG, 4)} g of salt`,
      ...readings.map(
        ({ parameter, value }) =>
          `${parameter.name} ${quantityText(parameterValue(parameter.id, value, settings.units))}`,
      ),
    ]
      .filter((one) => one !== null)
      .join(', ')
  return (
    <section>
      <Heading>New water, as it was mixed</Heading>
      <Stack $gap={10} style={{ paddingTop: 10 }}>
        {records.length === 0 && (
          <Small>
            What the new water holds decides what a change does. Until it is tested, the middle of the band is assumed.
          </Small>
        )}
        <Rows>
          {records.slice(0, SHOWN).map((record) => (
            <li key={record.entryId}>
              <strong>{measureText(record.litres, 'L', settings.units, 3)}</strong>{' '}
              <Quiet>{dayBeside(clock.dayOf(record.at), clock.dayOf(now))}</Quiet>
              <br />
              <Small>{heldWords(record) || 'not tested'}</Small>
            </li>
          ))}
        </Rows>
        {isOpen ? (
          <MixedWaterForm onDone={() => setIsOpen(false)} />
        ) : (
          <div>
            <Button onPress={() => setIsOpen(true)}>Write down new water</Button>
          </div>
        )}
      </Stack>
    </section>
  )
}

function MixedWaterForm({ onDone }: { onDone: () => void }) {
  const { settings } = useHousehold()
  const { units } = settings
  const { keep, busy, unkept } = useKeeping()
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>({})
  const [faults, setFaults] = useState<Readonly<Record<string, string>>>({})
  const kept = (id: string, unit: string): number | null => {
    const value = numberIn(texts[id] ?? '')
    return value === null ? null : toKept(value, unit, units)
  }
  const send = async () => {
    const input = {
      litres: kept('litres', 'L'),
      saltG: kept('saltG', 'g'),
      psu: kept('psu', 'psu'),
      values: new Map(
        NEW_WATER_TESTS.flatMap(({ id, unit }): [string, number][] => {
          const value = kept(id, unit)
          return value === null ? [] : [[id, value]]
        }),
      ),
    }
    const wrong = mixedWaterFaults(input)
    for (const [id, text] of Object.entries(texts))
      if (text.trim() !== '' && numberIn(text) === null) wrong[id] = 'a number, such as 8.2'
    setFaults(wrong)
    if (Object.keys(wrong).length > 0 || input.litres === null) return
    if (await keep([mixedWaterContent({ ...input, litres: input.litres }, thisInstant())])) onDone()
  }
  const field = (id: string, label: string, unit: string) => (
    <FigureField
      key={id}
      label={label}
      after={shownUnit(unit, units)}
      value={texts[id] ?? ''}
      onChange={(text) => setTexts({ ...texts, [id]: text })}
      problem={faults[id] === undefined ? undefined : { message: faults[id] }}
    />
  )
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault()
        void send()
      }}
    >
      <Stack $gap={12}>
        <FieldGrid>
          {field('litres', 'Mixed', 'L')}
          {field('saltG', 'Salt', 'g')}
          {field('psu', 'Salinity', 'psu')}
          {NEW_WATER_TESTS.map(({ id, name, unit }) => field(id, capital(name), unit))}
        </FieldGrid>
        <Small>What was not tested may be left empty.</Small>
        {unkept && <UnkeptNote unkept={unkept} />}
        <Line>
          <PrimaryButton type="submit" isDisabled={busy}>
            Keep the record
          </PrimaryButton>
          <PlainButton onPress={onDone}>cancel</PlainButton>
        </Line>
      </Stack>
    </Form>
  )
}
