import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { styled } from 'styled-components'
import { SHORT_LOOKS, type ShortLook } from '../../../core/catalogue/watching.data.ts'
import { signById } from '../../../core/catalogue/sign.ts'
import { watched } from '../../../core/courses/record/watched.ts'
import { animalById, animalLabel } from '../../../core/household/animals.ts'
import { listed } from '../../../core/words/numbers.ts'
import { judgeBreaths, usualBreaths } from '../../../core/watching/baseline.ts'
import { dayOfLooks, FLASHES, shortLookContent } from '../../../core/watching/short-looks.ts'
import { APPETITES } from '../../fields/appetites.ts'
import { ChipsField } from '../../fields/fields.tsx'
import { FigureField } from '../../fields/plain.tsx'
import { Tapper } from '../../fields/Tapper.tsx'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { PrimaryButton } from '../../look/buttons.ts'
import { Figure, Quiet, Small, Stack } from '../../look/text.ts'
import { numberIn } from '../../fields/number-in.ts'
import type { ActProps } from './act-props.ts'
import { isRest } from './LookAct.tsx'

const Looks = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  border-top: 1px solid var(--rule);
  li {
    border-bottom: 1px solid var(--rule);
  }
`

const Look = styled.button<{ $isDone: boolean }>`
  display: grid;
  grid-template-columns: 22px minmax(0, 1fr) auto;
  gap: 10px;
  width: 100%;
  min-height: 44px;
  padding: 6px 0;
  align-items: center;
  background: none;
  border: 0;
  color: ${({ $isDone }) => ($isDone ? 'var(--quiet)' : 'var(--ink)')};
  font: inherit;
  font-size: 15px;
  text-align: left;
  cursor: pointer;
`

/** The short looks of a day, each with what to look for: those that were done, and the next. */
export function ShortLooks(props: ActProps) {
  const { plan, task } = props
  const { journal, settings } = useHousehold()
  const now = useNow()
  const [open, setOpen] = useState<string | null>(null)
  const { clock } = settings
  const day = clock.dayOf(task.best)
  const today = dayOfLooks(watched(journal, plan.course, now).watching.filter(({ at }) => clock.dayOf(at) === day))
  const looks = isRest(plan) ? SHORT_LOOKS.filter(({ measures }) => measures.length > 0) : SHORT_LOOKS
  return (
    <Looks>
      {looks.map((one) => {
        const isDone = today.done.has(one.id)
        return (
          <li key={one.id}>
            <Look
              type="button"
              $isDone={isDone}
              aria-expanded={open === one.id}
              onClick={() => setOpen(open === one.id ? null : one.id)}
            >
              <span aria-hidden="true">{isDone ? '✓' : one.id === today.next?.id ? '›' : ''}</span>
              <span>
                {one.name}
                {isDone && <span className="visually-hidden">, done</span>}
                {!isDone && <Quiet> · {one.when}</Quiet>}
              </span>
              <Figure $size={15}>{one.minutes} min</Figure>
            </Look>
            {open === one.id && <ShortLookForm key={one.id} {...props} look={one} onDone={() => setOpen(null)} />}
          </li>
        )
      })}
    </Looks>
  )
}

const FAECES = [
  { value: 'none', label: 'none seen' },
  { value: 'normal', label: 'normal' },
  { value: 'stringy', label: 'white, stringy' },
]

interface LookValues {
  signs: string[]
  appetite: string[]
  faeces: string[]
}

/** One short look: its signs to tick, and what it counts. */
function ShortLookForm({ plan, task, look, onDone }: ActProps & { look: ShortLook; onDone: () => void }) {
  const { journal } = useHousehold()
  const now = useNow()
  const { keep, busy, unkept } = useKeeping()
  const [breaths, setBreaths] = useState<number | null>(null)
  const [flashText, setFlashText] = useState('')
  const form = useForm<LookValues>({ defaultValues: { signs: [], appetite: [], faeces: [] } })
  const animalIds = task.animalIds ?? []
  const who = listed(animalIds.flatMap((id) => animalById(journal, id) ?? []).map(animalLabel))
  const usual = usualBreaths(journal, animalIds, now)
  const flashes = numberIn(flashText)
  const has = (measure: ShortLook['measures'][number]) => look.measures.includes(measure)
  const said = breaths === null ? null : judgeBreaths(breaths, usual)
  const send = form.handleSubmit(async (values) => {
    const content = shortLookContent(
      look,
      {
        present: values.signs,
        breathsPerMinute: breaths,
        appetite: values.appetite[0] === undefined ? null : Number(values.appetite[0]),
        faeces: (values.faeces[0] as 'none' | 'normal' | 'stringy' | undefined) ?? null,
        flashes,
      },
      { at: thisInstant(), tankId: task.tankId, animalIds, courseId: plan.course.id },
    )
    if (await keep([content])) onDone()
  })
  return (
    <form onSubmit={(event) => void send(event)} style={{ paddingBottom: 14 }}>
      <Stack $gap={12}>
        <ChipsField
          control={form.control}
          name="signs"
          label="Tick what is there; what is not ticked was looked for and not seen"
          options={look.signs.map((id) => ({ value: id, label: signById(id)?.label ?? id }))}
        />
        {has('breaths') && (
          <>
            <Tapper who={who} breaths={breaths} onBreaths={setBreaths} hint="at rest, from where it does not see you" />
            {said && usual !== null && (
              <Small style={said.tone === 'calm' ? undefined : { color: 'var(--act)', fontWeight: 600 }}>
                {said.words}
              </Small>
            )}
          </>
        )}
        {has('appetite') && (
          <ChipsField control={form.control} name="appetite" label="Eating" options={APPETITES} single />
        )}
        {has('faeces') && <ChipsField control={form.control} name="faeces" label="Faeces" options={FAECES} single />}
        {has('flashes') && (
          <FigureField
            label="Scrapes on things"
            value={flashText}
            onChange={setFlashText}
            after="in 5 min"
            hint={
              flashes !== null && flashes >= FLASHES.warn
                ? `${FLASHES.warn} or more is a sign${flashes >= FLASHES.alarm ? '; look for grains and dust tonight' : ''}`
                : undefined
            }
          />
        )}
        {unkept && <UnkeptNote unkept={unkept} />}
        <div>
          <PrimaryButton type="submit" isDisabled={busy}>
            Log this look, {look.minutes} min
          </PrimaryButton>
        </div>
      </Stack>
    </form>
  )
}
