import { X } from 'lucide-react'
import { useContext, useEffect, useRef, useState, type ReactNode } from 'react'
import { styled } from 'styled-components'
import { linesOn } from '../../../core/ledger/days.ts'
import { tankById, type Tank } from '../../../core/household/tanks.ts'
import type { ContentKind, ContentOf } from '../../../core/journal/entry.ts'
import type { Line } from '../../../core/journal/journal.ts'
import { tanksOf as tanksOfContent } from '../../../core/journal/subjects.ts'
import type { Day } from '../../../core/time/zone.ts'
import { arrivalTasksOn } from '../../arrivals/useArrivalTasks.ts'
import { dueOn } from '../../courses/usePlans.ts'
import { amountText, makesText } from '../../courses/words.ts'
import { useNow } from '../../frame/now.tsx'
import { isTyping } from '../../frame/shortcuts.ts'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, IconButton, PlainButton } from '../../look/buttons.ts'
import { Heading, Line as Row, Quiet, Rows, Small, Stack } from '../../look/text.ts'
import { dayAs, dayBeside, momentBeside, timeOf } from '../../../core/time/words.ts'
import { contentMarks, contentReadBack, marksText, wordingOf } from '../../words/entries.ts'
import { capital } from '../../words/numbers.ts'
import { LossForm, MoveForm, NoteForm, SightingForm } from './forms/AnimalForms.tsx'
import { ReadingForm } from './forms/ReadingForm.tsx'
import { ChangeForm, DoseForm } from './forms/WaterForms.tsx'
import { Marks } from './marks.tsx'
import type { Beside, FormKind } from './opened.ts'
import { ArrivalsContext, PlansContext } from './plans.ts'

const Aside = styled.aside`
  flex: none;
  width: 392px;
  max-width: 100%;
  overflow: auto;
  background: var(--sheet);
  border-left: 1px solid var(--strong-rule);
  padding: 8px 18px 28px;
  outline: none;
  @media (max-width: 759px) {
    width: 100%;
    border-left: 0;
    padding: 4px 16px 28px;
  }
`

const Top = styled.div`
  position: sticky;
  top: -8px;
  z-index: 1;
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  background: var(--sheet);
  margin-bottom: 8px;
  h2 {
    font-size: 19px;
    line-height: 1.2;
  }
`

interface PanelProps {
  beside: Beside
  onOpen: (beside: Beside | null) => void
  onClose: () => void
}

/** What stands open beside the ledger: a day, an entry, or a form. */
export function Panel({ beside, onOpen, onClose }: PanelProps) {
  const { journal } = useHousehold()
  const line = beside.show === 'entry' ? journal.line(beside.id) : undefined
  if (beside.show === 'entry')
    return line ? (
      <EntryPanel key={line.id} line={line} onOpen={onOpen} onClose={onClose} />
    ) : (
      <Shell title="No such entry" onClose={onClose}>
        <Small>The journal holds no entry of this name: it may be in the other household.</Small>
      </Shell>
    )
  const tank = tankById(journal, beside.tankId)
  if (!tank)
    return (
      <Shell title="No such tank" onClose={onClose}>
        <Small>The journal holds no tank of this name: it may be in the other household.</Small>
      </Shell>
    )
  if (beside.show === 'day') return <DayPanel tank={tank} day={beside.day} onOpen={onOpen} onClose={onClose} />
  const back = beside.day === null ? null : ({ show: 'day', tankId: tank.id, day: beside.day } as const)
  return (
    <Shell title={`${FORM_TITLES[beside.form]}, ${tank.name}`} onClose={onClose}>
      <EntryFields
        key={`${beside.form}-${tank.id}`}
        form={beside.form}
        tank={tank}
        day={beside.day}
        onDone={() => (back ? onOpen(back) : onClose())}
      />
    </Shell>
  )
}

/** The panel's frame; it takes the focus when it opens. */
function Shell({ title, onClose, children }: { title: string; onClose: () => void; children: ReactNode }) {
  const aside = useRef<HTMLElement>(null)
  useEffect(() => {
    // A keeper who has gone on to type elsewhere is not called back.
    if (!isTyping(document.activeElement) && !aside.current?.contains(document.activeElement)) aside.current?.focus()
  }, [title])
  return (
    <Aside ref={aside} aria-label={title} tabIndex={-1}>
      <Top>
        <h2>{title}</h2>
        <IconButton aria-label="Close" onPress={onClose}>
          <X size={20} aria-hidden="true" />
        </IconButton>
      </Top>
      {children}
    </Aside>
  )
}

const FORM_TITLES: Record<FormKind, string> = {
  reading: 'Readings',
  'water-change': 'Water change',
  dose: 'Dose',
  sighting: 'Seen',
  move: 'Move',
  death: 'Loss',
  note: 'Note',
}

const FORM_OF: Partial<Record<ContentKind, FormKind>> = {
  reading: 'reading',
  'water-change': 'water-change',
  dose: 'dose',
  sighting: 'sighting',
  move: 'move',
  death: 'death',
  departure: 'death',
  note: 'note',
}

/** The fields of one kind of entry, new or corrected. */
function EntryFields({
  form,
  tank,
  day,
  correcting,
  onDone,
}: {
  form: FormKind
  tank: Tank
  day: Day | null
  correcting?: Line
  onDone: () => void
}) {
  const shared = { tank, day, onDone }
  const of = <K extends ContentKind>(_kind: K) => (correcting ? { correcting: correcting as Line<ContentOf<K>> } : {})
  switch (form) {
    case 'reading':
      return <ReadingForm {...shared} {...of('reading')} />
    case 'water-change':
      return <ChangeForm {...shared} {...of('water-change')} />
    case 'dose':
      return <DoseForm {...shared} {...of('dose')} />
    case 'sighting':
      return <SightingForm {...shared} {...of('sighting')} />
    case 'move':
      return <MoveForm {...shared} {...of('move')} />
    case 'death':
      return <LossForm {...shared} {...of('death')} />
    case 'note':
      return <NoteForm {...shared} {...of('note')} />
  }
}

/** What is due on a day to come, as far as it is known today. */
function DueAhead({ tankId, day, today }: { tankId: string; day: Day; today: Day }) {
  const { settings } = useHousehold()
  const due = dueOn(useContext(PlansContext), tankId, day, today, settings.clock)
  const arriving = arrivalTasksOn(useContext(ArrivalsContext), tankId, day, today, settings.clock)
  if (due.length + arriving.length === 0) return <Small>Nothing is due on this day, as far as is known.</Small>
  return (
    <Rows>
      {due.map(({ task }) => (
        <li key={task.id}>
          <strong>{task.title}</strong>
          {task.dose && `, ${amountText(task.dose)}, ${makesText(task.dose)}`}
          <br />
          <Quiet>
            {timeOf(task.best, settings.clock)}, {task.why}
            {task.waitsFor && `; waits for: ${task.waitsFor.join('; ')}`}
          </Quiet>
        </li>
      ))}
      {arriving.map((task) => (
        <li key={task.id}>
          <strong>{task.title}</strong>
          <br />
          <Quiet>
            {timeOf(task.best, settings.clock)}, {task.why}
          </Quiet>
        </li>
      ))}
    </Rows>
  )
}

const DayLine = styled.button`
  display: grid;
  grid-template-columns: 52px 1fr;
  width: 100%;
  min-height: 44px;
  align-items: center;
  padding: 0;
  border: 0;
  background: none;
  text-align: start;
  font-size: 16px;
  line-height: 1.3;
  color: var(--ink);
  cursor: pointer;
  &:hover {
    color: var(--second);
  }
  time {
    color: var(--quiet);
    font-size: 15px;
  }
`

function DayPanel({
  tank,
  day,
  onOpen,
  onClose,
}: {
  tank: Tank
  day: Day
  onOpen: PanelProps['onOpen']
  onClose: () => void
}) {
  const { journal, settings } = useHousehold()
  const wording = wordingOf(journal, settings)
  const today = settings.clock.dayOf(useNow())
  const ahead = day > today
  const lines = ahead ? [] : linesOn(journal, tank.id, day, settings.clock)
  return (
    <Shell title={`${tank.name}, ${dayAs(day, 'EEEE d MMMM')}`} onClose={onClose}>
      <Stack $gap={20}>
        {ahead && <DueAhead tankId={tank.id} day={day} today={today} />}
        {lines.length === 0 ? (
          !ahead && <Small>Nothing was written down on this day.</Small>
        ) : (
          <Rows>
            {lines.map((line) => (
              <li key={line.id} style={{ padding: 0 }}>
                <DayLine type="button" onClick={() => onOpen({ show: 'entry', id: line.id })}>
                  <time>{timeOf(line.at, settings.clock)}</time>
                  <span>
                    {line.struck ? (
                      <s>{marksText(contentMarks(line.content, wording, tank.id))}</s>
                    ) : (
                      <Marks marks={contentMarks(line.content, wording, tank.id)} />
                    )}
                    {line.corrected && <Quiet> corrected</Quiet>}
                    {line.content.note && <Quiet> · {line.content.note}</Quiet>}
                  </span>
                </DayLine>
              </li>
            ))}
          </Rows>
        )}
        {!ahead && (
          <Stack $gap={10}>
            <Heading>Add to {dayBeside(day, today)}</Heading>
            <Row>
              {(Object.keys(FORM_TITLES) as FormKind[]).map((form) => (
                <Button key={form} onPress={() => onOpen({ show: 'form', form, tankId: tank.id, day })}>
                  {FORM_TITLES[form]}
                </Button>
              ))}
            </Row>
          </Stack>
        )}
      </Stack>
    </Shell>
  )
}

function EntryPanel({ line, onOpen, onClose }: { line: Line; onOpen: PanelProps['onOpen']; onClose: () => void }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const [correcting, setCorrecting] = useState(false)
  const { run, busy, unkept } = useKeeping()
  const wording = wordingOf(journal, settings)
  const { clock } = settings
  const tankId = tanksOfContent(line.content)[0]
  const tank = tankId === undefined ? null : tankById(journal, tankId)
  const form = FORM_OF[line.content.kind]
  const strike = () => run((household) => household.strike(line.id))
  const takeBack = () => line.amendedBy && run((household) => household.strike(line.amendedBy!))
  const title = capital(momentBeside(line.at, now, clock))
  if (correcting && tank && form)
    return (
      <Shell title={`Correct: ${title}`} onClose={onClose}>
        <EntryFields
          form={form}
          tank={tank}
          day={clock.dayOf(line.at)}
          correcting={line}
          onDone={() => setCorrecting(false)}
        />
      </Shell>
    )
  return (
    <Shell title={title} onClose={onClose}>
      <Stack>
        <p style={{ fontSize: 19, lineHeight: 1.35 }}>
          {line.struck ? (
            <s>{marksText(contentReadBack(line.content, wording))}</s>
          ) : (
            <Marks marks={contentReadBack(line.content, wording)} />
          )}
        </p>
        {line.content.note && <p>{line.content.note}</p>}
        {line.content.kind === 'sighting' && line.content.words && <Small>In your words: {line.content.words}</Small>}
        {unkept && <UnkeptNote unkept={unkept} />}
        <Row>
          {form && !line.struck && <Button onPress={() => setCorrecting(true)}>Correct it</Button>}
          {!line.struck && (
            <Button onPress={() => void strike()} isDisabled={busy}>
              Strike it out
            </Button>
          )}
          {line.struck && (
            <Button onPress={() => void takeBack()} isDisabled={busy}>
              Let it stand again
            </Button>
          )}
          {tank && (
            <PlainButton onPress={() => onOpen({ show: 'day', tankId: tank.id, day: clock.dayOf(line.at) })}>
              the whole day
            </PlainButton>
          )}
        </Row>
        {!form && (
          <Small>
            {TELLS_WHERE[line.content.kind] ?? 'This is put right where it was set up; here it can be struck out.'}
          </Small>
        )}
        <History line={line} />
      </Stack>
    </Shell>
  )
}

const TELLS_WHERE: Partial<Record<ContentKind, string>> = {
  'tank-setup': 'A tank is put right on its own page: Tanks.',
  'tank-change': 'A tank is put right on its own page: Tanks.',
  arrival: 'Name and species are put right on the tank’s page; an arrival that never was is struck out here.',
}

/** How an entry came to stand as it does. */
function History({ line }: { line: Line }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const first = journal.entry(line.id)
  const amendments = journal.amendments(line.id)
  if (!first) return null
  const logged = (iso: string) => momentBeside(Date.parse(iso), now, settings.clock)
  const wording = wordingOf(journal, settings)
  return (
    <Stack $gap={4}>
      <Small>written down {logged(first.logged)}</Small>
      {amendments.map((entry) => {
        const void_ = journal.amendments(entry.id).some((by) => 'strikes' in by)
        const words =
          'strikes' in entry
            ? 'struck out'
            : `corrected to ${marksText(contentMarks(entry.content, wording, undefined))}`
        return (
          <Small key={entry.id}>
            {void_ ? <s>{words}</s> : words} {logged(entry.logged)}
            {void_ && ', taken back'}
          </Small>
        )
      })}
      {amendments.length > 0 && 'content' in first && (
        <Small>first written as {marksText(contentMarks(first.content, wording, undefined))}</Small>
      )}
    </Stack>
  )
}
