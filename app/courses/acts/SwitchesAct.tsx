import { useState } from 'react'
import { isActOff } from '../../../core/courses/acts/act-off.ts'
import { crewFor, readSwitches } from '../../../core/courses/acts/read-switches.ts'
import { DOWN_STEP } from '../../../core/courses/outlook/plans/ladder.ts'
import { animalLabel } from '../../../core/household/animals.ts'
import { tanksOf, type EquipmentItem } from '../../../core/household/tanks.ts'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, PrimaryButton } from '../../look/buttons.ts'
import { CheckChip } from '../../look/CheckChip.ts'
import { Bar, Line, Small, Stack } from '../../look/text.ts'
import { DoubtList, useDoubts } from '../../safety/Doubts.tsx'
import { EQUIPMENT_NAMES } from '../../words/entries.ts'
import type { ActProps } from './act-props.ts'

/** A tick that switches equipment, or moves snails and shrimp: it asks what was switched, who moved and where to. */
export function SwitchesAct({ plan, task, next }: ActProps) {
  const { journal } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const now = useNow()
  const { switches = [], moves, tankId } = task
  const [switched, setSwitched] = useState<readonly EquipmentItem[]>(switches.map(({ item }) => item))
  const crew = crewFor(journal, task)
  const [picked, setPicked] = useState<readonly string[]>(
    // What is undone is one grazer: only the keeper knows which.
    moves === 'crew-out' && task.step !== DOWN_STEP ? crew.map(({ id }) => id) : [],
  )
  const others = tanksOf(journal).filter(({ id }) => id !== tankId)
  const [toTankId, setToTankId] = useState(others.find(({ role }) => role !== 'display')?.id ?? '')
  const [problem, setProblem] = useState<string | null>(null)
  const isOff = busy || isActOff(task, now)
  const readAt = (at: number) => readSwitches(journal, task, { switched, crew: { animalIds: picked, toTankId } }, at)
  const shown = readAt(now)
  const doubts = useDoubts(isOff || 'problems' in shown ? [] : shown.contents)
  const Do = next ? PrimaryButton : Button
  const toggle = <T extends string>(list: readonly T[], one: T, isOn: boolean): T[] =>
    isOn ? [...list, one] : list.filter((other) => other !== one)
  const done = () => {
    const read = readAt(thisInstant())
    setProblem('problems' in read ? (read.problems['toTankId']?.message ?? null) : null)
    if ('contents' in read) void keep(doubts.answered(read.contents))
  }
  return (
    <Stack $gap={10}>
      {task.caution && <Bar $tone="soon">{task.caution}</Bar>}
      {switches.length > 0 && (
        <Line $gap={8} role="group" aria-label="What was switched">
          {switches.map(({ item, running }) => (
            <CheckChip
              key={item}
              isSelected={switched.includes(item)}
              onChange={(isOn) => setSwitched(toggle(switched, item, isOn))}
            >
              {EQUIPMENT_NAMES[item]} {running ? 'on' : 'off'}
            </CheckChip>
          ))}
        </Line>
      )}
      {moves && crew.length === 0 && (
        <Small>
          {moves === 'crew-out'
            ? 'No snail, shrimp or urchin of this tank is on record.'
            : 'No snail, shrimp or urchin that lived here is on record elsewhere.'}
        </Small>
      )}
      {crew.length > 0 && (
        <>
          <Line
            $gap={8}
            role="group"
            aria-label={moves === 'crew-out' ? 'Animals to move out' : 'Animals to bring back'}
          >
            {crew.map((animal) => (
              <CheckChip
                key={animal.id}
                isSelected={picked.includes(animal.id)}
                onChange={(isOn) =>
                  setPicked(moves === 'crew-back' ? (isOn ? [animal.id] : []) : toggle(picked, animal.id, isOn))
                }
              >
                {animalLabel(animal)}
              </CheckChip>
            ))}
          </Line>
          {moves === 'crew-out' && (
            <label>
              To{' '}
              <select value={toTankId} onChange={(event) => setToTankId(event.target.value)}>
                <option value="">choose a tank</option>
                {others.map(({ id, name }) => (
                  <option key={id} value={id}>
                    {name}
                  </option>
                ))}
              </select>
            </label>
          )}
        </>
      )}
      {problem !== null && <Small role="alert">{problem}</Small>}
      <DoubtList doubts={doubts} />
      <Line>
        <Do onPress={done} isDisabled={isOff || !doubts.isClear}>
          {plan.course.definition.kind === 'plan' && task.step === DOWN_STEP ? 'Undone' : 'Done'}
        </Do>
      </Line>
      {unkept && <UnkeptNote unkept={unkept} />}
    </Stack>
  )
}
