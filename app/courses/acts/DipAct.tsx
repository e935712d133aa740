import { useState } from 'react'
import { styled } from 'styled-components'
import { CORAL_DIPS, coralDipById } from '../../../core/catalogue/corals/coral-dips.data.ts'
import { bathAmount } from '../../../core/courses/amounts/planned-bath.ts'
import { isActOff } from '../../../core/courses/acts/act-off.ts'
import { proposedRead, type ActProblems } from '../../../core/courses/acts/act-read.ts'
import { dipOf, mayHaveDip, readDip } from '../../../core/courses/acts/read-dip.ts'
import { litresFrom } from '../../../core/words/quantities.ts'
import { shownUnit } from '../../../core/words/measure.ts'
import { figures, plural } from '../../../core/words/numbers.ts'
import { numberIn } from '../../fields/number-in.ts'
import { FigureField } from '../../fields/plain.tsx'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, ButtonLink, PrimaryButton } from '../../look/buttons.ts'
import { Bar, Figure, Line, Small } from '../../look/text.ts'
import { DoubtList, useDoubts } from '../../safety/Doubts.tsx'
import type { ActProps } from './act-props.ts'

const Hosts = styled.div`
  display: flex;
  flex-direction: column;
`

/** Native boxes: those of the library bring forms and hidden labels along, and the first view has no room for them. */
const Host = styled.label`
  position: relative;
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 44px;
  border-bottom: 1px dotted var(--strong-rule);
  cursor: pointer;
  input {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
    margin: 0;
    opacity: 0;
    cursor: inherit;
  }
  &::before {
    content: '';
    flex: none;
    width: 22px;
    height: 22px;
    border: 1.5px solid var(--ink);
    border-radius: 2px;
    background: var(--sheet);
  }
  &:has(input:checked)::before {
    content: '✓';
    background: var(--second);
    color: var(--on-second);
    text-align: center;
    line-height: 20px;
    font-weight: 700;
  }
  &:has(input:focus-visible) {
    outline: 3px solid var(--second);
    outline-offset: 2px;
  }
  &:has(input:disabled) {
    color: var(--quiet);
    cursor: default;
  }
`

const Pick = styled.div`
  display: flex;
  flex-direction: column;
  gap: 4px;
  font-size: 15px;
  select {
    min-height: 44px;
    border: 1.5px solid var(--ink);
    border-radius: 2px;
    background: var(--sheet);
    color: var(--ink);
    font: inherit;
    padding: 0 8px;
  }
`

/** A round of dips: with what, its caution, how much, and which corals were in it. */
export function DipAct({ plan, task, next }: ActProps) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const { keep, busy, unkept } = useKeeping()
  const [problems, setProblems] = useState<ActProblems>({})
  const [dipId, setDipId] = useState(task.dip!.dip.id)
  const planned = dipOf(journal, plan, task, dipId)
  const { dip, product } = planned
  const bath = product && planned.bath
  const mayHave = mayHaveDip(planned)
  const [chosen, setChosen] = useState<readonly string[] | null>(null)
  const ids = (chosen ?? mayHave).filter((id) => mayHave.includes(id))
  const [litresText, setLitres] = useState('')
  const [minutesText, setMinutes] = useState(String(dip.minutes[0]))
  const [amountText, setAmount] = useState('')
  const typed = numberIn(litresText)
  const litres = typed === null ? null : litresFrom(typed, settings.units)
  const minutes = numberIn(minutesText)
  const measured = bath && litres !== null ? bathAmount(bath, litres) : null
  const read = (at: number) =>
    readDip(journal, plan, task, { dipId, partIds: ids, litres, minutes, amount: numberIn(amountText) }, at)
  const doubts = useDoubts(proposedRead(read(now)))
  const Do = next ? PrimaryButton : Button
  const send = async () => {
    const answer = read(thisInstant())
    setProblems('problems' in answer ? answer.problems : {})
    if (!('contents' in answer) || !(await keep(doubts.answered(answer.contents)))) return
    // What is left of the round is another dip.
    setChosen(null)
    setLitres('')
    setAmount('')
  }
  if (planned.hosts.length === 0)
    return (
      <>
        <Small>No coral is named yet: a round counts only when every host was done.</Small>
        <div>
          <ButtonLink href={`/courses/${plan.course.id}#corals`}>Name the corals</ButtonLink>
        </div>
      </>
    )
  return (
    <>
      <Pick>
        <span aria-hidden>Dip</span>
        <select
          aria-label="Dip"
          value={dipId}
          onChange={(event) => {
            setDipId(event.target.value)
            setMinutes(String(coralDipById(event.target.value).minutes[0]))
          }}
        >
          {CORAL_DIPS.map(({ id, label }) => (
            <option key={id} value={id}>
              {label}
            </option>
          ))}
        </select>
      </Pick>
      <Bar $tone="act">{dip.caution}</Bar>
      <Hosts role="group" aria-label="Corals in the dip">
        {planned.hosts.map(({ partId, name, pieces, mustNot }) => (
          <Host key={partId}>
            <input
              type="checkbox"
              checked={ids.includes(partId)}
              disabled={mustNot !== null}
              onChange={(event) =>
                setChosen(event.target.checked ? [...ids, partId] : ids.filter((id) => id !== partId))
              }
            />
            <span>
              {name}
              {pieces > 1 && <Small as="span"> {plural(pieces, 'piece')}</Small>}
              {mustNot && <Small>not in this dip: {mustNot}</Small>}
            </span>
          </Host>
        ))}
      </Hosts>
      {problems['hosts'] && <Small role="alert">{problems['hosts'].message}</Small>}
      <Line $gap={14}>
        <FigureField
          label="Water in the dip"
          value={litresText}
          onChange={setLitres}
          after={shownUnit('L', settings.units)}
          problem={problems['litres']}
        />
        <FigureField
          label="Minutes in it"
          value={minutesText}
          onChange={setMinutes}
          after="min"
          problem={problems['minutes']}
        />
        {!bath && (
          <FigureField
            label="By its label"
            value={amountText}
            onChange={setAmount}
            after={product?.unit ?? 'mL'}
            problem={problems['amount']}
          />
        )}
      </Line>
      {bath && measured && (
        <Small>
          <Figure $size={26}>
            {figures(measured.amount, 4)} {bath.unit}
          </Figure>{' '}
          → {figures(measured.makesMgPerL, 3)} mg/L in tank water
        </Small>
      )}
      {planned.bath && !bath && (
        <Small>
          {figures(planned.bath.mgPerL)} mg/L; no {dip.label} stands on the shelf, so its amount is not worked out:
          weigh or measure by the label.
        </Small>
      )}
      <DoubtList doubts={doubts} />
      <Line>
        <Do onPress={() => void send()} isDisabled={busy || !doubts.isClear || isActOff(task, now)}>
          {ids.length === planned.hosts.length
            ? 'Log the dip of all'
            : `Log the dip of ${ids.length} of ${planned.hosts.length}`}
        </Do>
      </Line>
      {unkept && <UnkeptNote unkept={unkept} />}
    </>
  )
}
