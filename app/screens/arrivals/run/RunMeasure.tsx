import { useId, useState, type FormEvent } from 'react'
import { styled } from 'styled-components'
import {
  BAG_FIGURES,
  figureHabits,
  figureLabel,
  figureUnit,
  readFigure,
} from '../../../../core/arrivals/run/figures.ts'
import type { Run } from '../../../../core/arrivals/run/runs.ts'
import type { WaterFigure } from '../../../../core/arrivals/run/water.ts'
import { Reading, type Fault } from '../../../../core/calculators/calculator.ts'
import { mindsSalinity } from '../../../../core/acclimation/limits.ts'
import type { ContentOf } from '../../../../core/journal/entry.ts'
import { iso } from '../../../../core/time/zone.ts'
import { figureShown, figureTyped } from '../../../fields/figure-text.ts'
import { FIGURE_LETTERS, described, FieldShell, inputShape } from '../../../fields/shell.tsx'
import { thisInstant } from '../../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../../journal/keeping.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Button, PrimaryButton } from '../../../look/buttons.ts'
import { Line, Small, Stack } from '../../../look/text.ts'

const Input = styled.input`
  ${inputShape}
  min-height: 52px;
  font-family: var(--mono);
  font-size: 20px;
  min-width: 0;
`

const Pair = styled.div`
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 12px;
  align-items: end;
`

const MEASURED: readonly WaterFigure[] = ['salinityPsu', 'temperatureC', 'pH', 'tanMgPerL']

/** What is measured in the container on the way: it bends the forecast. */
export function RunMeasure({ run, isAsked, onLogged }: { run: Run; isAsked: boolean; onLogged: () => void }) {
  const { journal, settings } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const [values, setValues] = useState<Readonly<Record<string, string>>>({})
  const [faults, setFaults] = useState<Readonly<Record<string, Fault>>>({})
  const salt = mindsSalinity(run.setup.limits)
  const fields = BAG_FIGURES.filter((id) => MEASURED.includes(id) && (salt || id !== 'salinityPsu'))
  const habits = figureHabits(journal, settings.units, run.start.tankId)
  const send = async (event: FormEvent) => {
    event.preventDefault()
    const reading = new Reading(values, [], [])
    const read: Partial<Record<WaterFigure, number>> = {}
    for (const id of fields) {
      if (reading.text(id) === '') continue
      const value = readFigure(reading, id, id, habits)
      if (value !== undefined) read[id] = value
    }
    const found = { ...reading.faults }
    if (Object.keys(found).length === 0 && Object.keys(read).length === 0)
      found[fields[0]!] = { message: 'at least one figure' }
    setFaults(found)
    if (Object.keys(found).length > 0) return
    const content: ContentOf<'acclimation-event'> = {
      kind: 'acclimation-event',
      happened: iso(thisInstant()),
      runId: run.id,
      event: 'measured',
      ...(read.salinityPsu !== undefined && { salinityPsu: read.salinityPsu }),
      ...(read.temperatureC !== undefined && { temperatureC: read.temperatureC }),
      ...(read.pH !== undefined && { pH: read.pH }),
      ...(read.tanMgPerL !== undefined && { tanMgPerL: read.tanMgPerL }),
    }
    if (!(await keep([content]))) return
    setValues({})
    onLogged()
  }
  const Act = isAsked ? PrimaryButton : Button
  return (
    <form onSubmit={(event) => void send(event)} aria-label="Measured in the container">
      <Stack $gap={10}>
        <strong>Measured in the container</strong>
        <Pair>
          {fields.map((id) => (
            <Figure
              key={id}
              label={figureLabel(id, salt ? 'marine' : 'freshwater')}
              unit={figureUnit(id, habits)}
              value={values[id] ?? ''}
              fault={faults[id]}
              onChange={(value) => setValues({ ...values, [id]: value })}
            />
          ))}
        </Pair>
        {unkept && <UnkeptNote unkept={unkept} />}
        <Line>
          <Act type="submit" isDisabled={busy}>
            Log what is measured
          </Act>
          <Small>Bag and tank with the same instruments, rinsed between.</Small>
        </Line>
      </Stack>
    </form>
  )
}

function Figure({
  label,
  unit,
  value,
  fault,
  onChange,
}: {
  label: string
  unit: string
  value: string
  fault: Fault | undefined
  onChange: (value: string) => void
}) {
  const id = useId()
  return (
    <FieldShell id={id} label={unit ? `${label}, ${unit}` : label} problem={fault} onPick={onChange}>
      <Input
        {...described(id, undefined, fault)}
        value={figureShown(value)}
        maxLength={FIGURE_LETTERS}
        inputMode="decimal"
        autoComplete="off"
        onChange={(event) => onChange(figureTyped(event.target.value))}
      />
    </FieldShell>
  )
}
