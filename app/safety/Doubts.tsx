import { useId, useState } from 'react'
import { styled } from 'styled-components'
import type { Content } from '../../core/journal/entry.ts'
import type { Concern } from '../../core/safety/concerns.ts'
import { concernWords, doubtOf, type SetAside } from '../../core/safety/guard.ts'
import { inputShape, labelShape } from '../fields/shell.tsx'
import { thisInstant } from '../frame/now.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { Bar, Small, Stack } from '../look/text.ts'
import { Tick } from '../look/tick.ts'

const Input = styled.input`
  ${inputShape}
`

const Label = styled.label`
  ${labelShape}
  display: grid;
  gap: 5px;
`

/** What a keeper has answered to one concern. */
interface Said {
  why: string
  /** Null where it was not said yet. */
  vetAgreed: boolean | null
  isConfirmed: boolean
}

/** What speaks of a tank and not of the animal: asked once for all that go there. */
const OF_THE_TANK: ReadonlySet<string> = new Set(['set-dry'])

const NOTHING: Said = { why: '', vetAgreed: null, isConfirmed: false }

/** A concern of one content, with the words it is shown in. */
interface Asked {
  key: string
  concern: Concern
  words: string
}

function isAnswered({ override }: Concern, said: Said): boolean {
  switch (override) {
    case 'none':
      return false
    case 'confirm':
      return said.isConfirmed
    case 'reason':
      return said.why.trim() !== ''
    case 'reason-and-vet':
      return said.why.trim() !== '' && said.vetAgreed !== null
  }
}

export interface Doubts {
  asked: readonly Asked[]
  /** What is only told. */
  told: readonly string[]
  /** Whether everything asked is answered, so that it may be kept. */
  isClear: boolean
  /** The same of other contents than those that are shown: of what a form was just read as. */
  isClearFor: (contents: readonly Content[]) => boolean
  /** The contents with what was set aside of each. */
  answered: <C extends Content>(contents: readonly C[]) => C[]
  said: (key: string) => Said
  say: (key: string, change: Partial<Said>) => void
}

/**
 * What the water speaks against some contents that are about to be kept, and the keeper's answers.
 * @param contents as they would be kept now
 * @param hasHappened it cannot be undone and is written down as an accident: nothing has to be answered
 */
export function useDoubts(contents: readonly Content[], hasHappened = false): Doubts {
  const { journal } = useHousehold()
  const [answers, setAnswers] = useState<Readonly<Record<string, Said>>>({})
  const said = (key: string) => answers[key] ?? NOTHING
  const now = thisInstant()
  const doubts = contents.map((content) => ({ content, doubt: doubtOf(journal, content, { now }) }))
  const keyOf = (content: Content, { rule }: Concern) =>
    `${rule}|${'animalId' in content && !OF_THE_TANK.has(rule) ? content.animalId : ''}|${content.kind}`
  const asked = doubts
    .flatMap(({ content, doubt }) =>
      doubt.asks.map((concern) => ({
        key: keyOf(content, concern),
        concern,
        words: concernWords(journal, content, concern),
      })),
    )
    .filter((one, i, all) => all.findIndex(({ key }) => key === one.key) === i)
  return {
    asked,
    told: [
      ...new Set(doubts.flatMap(({ content, doubt }) => doubt.tells.map((one) => concernWords(journal, content, one)))),
    ],
    isClear: hasHappened || asked.every(({ key, concern }) => isAnswered(concern, said(key))),
    isClearFor: (others) =>
      hasHappened ||
      others.every((content) =>
        doubtOf(journal, content, { now }).asks.every((concern) => isAnswered(concern, said(keyOf(content, concern)))),
      ),
    answered: (kept) =>
      kept.map((content) => {
        const overrides = doubtOf(journal, content, { now: thisInstant() }).asks.map((concern): SetAside => {
          const { why, vetAgreed } = said(keyOf(content, concern))
          return {
            rule: concern.rule,
            why: why.trim() || (hasHappened ? 'kept as it happened' : 'read and confirmed'),
            vetAgreed: vetAgreed ?? false,
          }
        })
        return overrides.length === 0 ? content : { ...content, overrides }
      }),
    said,
    say: (key, change) => setAnswers((now) => ({ ...now, [key]: { ...(now[key] ?? NOTHING), ...change } })),
  }
}

/** What speaks against it, before it is done, with what would set each aside. */
export function DoubtList({ doubts }: { doubts: Doubts }) {
  if (doubts.asked.length === 0 && doubts.told.length === 0) return null
  return (
    <Stack $gap={10}>
      {doubts.asked.map(({ key, concern, words }) => (
        <Asking
          key={key}
          concern={concern}
          words={words}
          said={doubts.said(key)}
          say={(change) => doubts.say(key, change)}
        />
      ))}
      {doubts.told.map((words) => (
        <Bar key={words} $tone="soon">
          {words}
        </Bar>
      ))}
    </Stack>
  )
}

function Asking({
  concern,
  words,
  said,
  say,
}: Omit<Asked, 'key'> & { said: Said; say: (change: Partial<Said>) => void }) {
  const id = useId()
  const needsReason = concern.override === 'reason' || concern.override === 'reason-and-vet'
  return (
    <Bar $tone={concern.severity === 'caution' ? 'soon' : 'act'} role="alert">
      <Stack $gap={8}>
        <span>{words}</span>
        {concern.override === 'none' && <Small>There is no way round this.</Small>}
        {concern.override === 'confirm' && (
          <Tick>
            <input
              type="checkbox"
              checked={said.isConfirmed}
              onChange={(event) => say({ isConfirmed: event.target.checked })}
            />
            <span>I have read it</span>
          </Tick>
        )}
        {needsReason && (
          <Label htmlFor={id}>
            Why all the same
            <Input id={id} value={said.why} onChange={(event) => say({ why: event.target.value })} />
          </Label>
        )}
        {concern.override === 'reason-and-vet' && (
          <div role="radiogroup" aria-label="Has a licensed aquatic veterinarian agreed?">
            <Small>Has a licensed aquatic veterinarian agreed?</Small>
            {([true, false] as const).map((value) => (
              <Tick key={String(value)}>
                <input
                  type="radio"
                  name={`${id}-vet`}
                  checked={said.vetAgreed === value}
                  onChange={() => say({ vetAgreed: value })}
                />
                <span>{value ? 'Yes' : 'No'}</span>
              </Tick>
            ))}
          </div>
        )}
      </Stack>
    </Bar>
  )
}
