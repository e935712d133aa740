import { useState } from 'react'
import { parameterById } from '../../../../core/catalogue/parameter.ts'
import type { Tank } from '../../../../core/household/tanks.ts'
import { dayBeside } from '../../../../core/time/words.ts'
import {
  judgeLab,
  kitsAgainstLab,
  labResultsOf,
  type JudgedElement,
  type JudgedLab,
} from '../../../../core/water/lab/judge.ts'
import { changesToPass } from '../../../../core/water/lab/changes.ts'
import { labFigure, mendWords, shareWords } from '../../../../core/water/lab/words.ts'
import { capital, plural } from '../../../../core/words/numbers.ts'
import { parameterValue, quantityText } from '../../../../core/words/quantities.ts'
import { numberIn } from '../../../fields/number-in.ts'
import { FigureField } from '../../../fields/plain.tsx'
import { useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Button, ButtonLink } from '../../../look/buttons.ts'
import { Bar, Figure, Heading, Line, Quiet, Rows, Ruled, Small, Stack } from '../../../look/text.ts'

/** The lab's results of a tank, one at a time, the newest first. */
export function LabResults({ tank }: { tank: Tank }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const [shown, setShown] = useState(0)
  const results = labResultsOf(journal, tank.id)
  const line = results[shown] ?? results[0]
  if (!line) return null
  const judged = judgeLab(journal, tank, line)
  const dayOf = (ms: number) => dayBeside(settings.clock.dayOf(ms), settings.clock.dayOf(now))
  return (
    <section>
      <Heading>
        <span>The lab’s result of {dayOf(judged.at)}</span>
        <Quiet>
          held against sea water of {quantityText(parameterValue('salinity', judged.salinityPsu, settings.units))}
          {!judged.isSalinityKnown && ', since the salinity was not read that week'}
        </Quiet>
      </Heading>
      {results.length > 1 && (
        <Line $gap={8} style={{ paddingTop: 12 }} role="group" aria-label="Which result">
          {results.map(({ at, id }, i) => (
            <Button key={id} aria-pressed={i === shown} onPress={() => setShown(i)}>
              {dayOf(at)}
            </Button>
          ))}
        </Line>
      )}
      <LabView tank={tank} judged={judged} />
    </section>
  )
}

function LabView({ tank, judged }: { tank: Tank; judged: JudgedLab }) {
  const { journal, settings } = useHousehold()
  const [showsAll, setShowsAll] = useState(false)
  const off = judged.elements.filter(({ state }) => state === 'low' || state === 'high')
  const kits = kitsAgainstLab(journal, tank.id, judged.at).filter(({ differs }) => differs)
  const say = (id: string, value: number) => quantityText(parameterValue(id, value, settings.units))
  return (
    <Stack $gap={16} style={{ paddingTop: 14 }}>
      <p style={{ fontSize: 20, fontWeight: 650 }}>
        {off.length === 0
          ? `All ${plural(judged.elements.length, 'element')} are where they should be.`
          : `${off.length} of ${plural(judged.elements.length, 'element')} ${off.length === 1 ? 'is' : 'are'} off; one at a time, within the day’s caps.`}
      </p>
      {kits.map(({ parameterId, kit, lab, kitName }) => (
        <Bar key={parameterId} $tone="soon">
          {parameterById(parameterId)?.name}: {kitName ?? 'the kit'} read {say(parameterId, kit)}, the lab{' '}
          {say(parameterId, lab)}: more apart than both may be off. Check the kit on a standard before you dose by it.
        </Bar>
      ))}
      <Rows>
        {off.map((one) => (
          <li key={one.element.id}>
            <OffElement tank={tank} one={one} />
          </li>
        ))}
      </Rows>
      <div>
        <Button aria-expanded={showsAll} onPress={() => setShowsAll(!showsAll)}>
          {showsAll ? 'What is off alone' : `All ${plural(judged.elements.length, 'element')}`}
        </Button>
      </div>
      {showsAll && (
        <Ruled>
          <thead>
            <tr>
              <th scope="col">Element</th>
              <th scope="col">Found</th>
              <th scope="col">Sea water</th>
              <th scope="col">So</th>
            </tr>
          </thead>
          <tbody>
            {judged.elements.map((one) => (
              <tr key={one.element.id}>
                <th scope="row">
                  {one.element.name} <Quiet>{one.element.symbol}</Quiet>
                </th>
                <td>
                  <Figure>{foundText(one)}</Figure>
                </td>
                <td>{labFigure(one.seaMgPerL)}</td>
                <td
                  style={
                    one.state === 'low' || one.state === 'high' ? { color: 'var(--soon)', fontWeight: 650 } : undefined
                  }
                >
                  {STATES[one.state]}, {shareWords(one)}
                </td>
              </tr>
            ))}
          </tbody>
        </Ruled>
      )}
      <Small>
        Sea water by Millero and others 2008 and Pilson 2013; what is let pass and what is too much are assumptions of
        this handbook. A trace is never called low: tanks thrive with nearly none.
      </Small>
    </Stack>
  )
}

const STATES = { low: 'low', fine: 'fine', high: 'too much', 'not-found': 'none' } as const

const foundText = ({ mgPerL, below }: JudgedElement) =>
  mgPerL !== null ? labFigure(mgPerL) : below === null ? 'not found' : `< ${labFigure(below)}`

function OffElement({ tank, one }: { tank: Tank; one: JudgedElement }) {
  const { element, state, mend } = one
  return (
    <Line style={{ justifyContent: 'space-between', alignItems: 'baseline', flexWrap: 'wrap' }}>
      <div>
        <strong>{element.name}</strong> <span style={{ color: 'var(--soon)', fontWeight: 650 }}>{STATES[state]}</span>
        <Small>
          {capital(shareWords(one))}. {mendWords(one)}
        </Small>
        {mend !== null && mend !== 'salt' && !one.isByBand && <ByChanges one={one} />}
      </div>
      <Line $gap={16} style={{ alignItems: 'baseline' }}>
        <Figure $size={20}>{foundText(one)}</Figure>
        {element.parameter && mend !== 'find-source' && (
          <ButtonLink href={`/water/correct?tank=${tank.id}&of=${element.parameter.id}`}>Plan it</ButtonLink>
        )}
      </Line>
    </Line>
  )
}

/** Changes of water, by what the new water holds: without that nobody can say what they do. */
function ByChanges({ one }: { one: JudgedElement }) {
  const [text, setText] = useState('')
  const holds = numberIn(text)
  const planned = holds === null || holds < 0 ? null : changesToPass(one, holds)
  return (
    <div style={{ maxWidth: 320, paddingTop: 6 }}>
      <FigureField
        label={`${capital(one.element.name)} in the new water`}
        after="mg/L"
        value={text}
        onChange={setText}
        hint="by a lab’s test of mixed water, or the salt’s own sheet"
      />
      {planned && (
        <Small role="status">
          {'cannot' in planned
            ? `${capital(planned.cannot)}.`
            : `A tenth changed a week: ${plural(planned.weeks, 'week')} to ${labFigure(planned.toMgPerL)}.`}
        </Small>
      )}
    </div>
  )
}
