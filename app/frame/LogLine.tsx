import { WORDS_LETTERS } from '../../core/journal/contents/text-limits.ts'
import { useEffect, useId, useMemo, useRef, useState, type KeyboardEvent } from 'react'
import { styled } from 'styled-components'
import type { Choice, ReadBack } from '../../core/logline/types.ts'
import { courseVerdict, VERDICT_WORDS } from '../../core/courses/range-words.ts'
import type { Content, Entry } from '../../core/journal/entry.ts'
import type { UnitHabits } from '../../core/household/settings.ts'
import type { Journal } from '../../core/journal/journal.ts'
import { forgetDraft, keepDraft, logLineDraft, readDraft } from '../fields/draft.ts'
import { locale } from '../fields/figure-text.ts'
import { useKeeping, UnkeptNote } from '../journal/keeping.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { PlainButton } from '../look/buttons.ts'
import { contentReadBack, wordingOf, type Mark } from '../words/entries.ts'
import { momentBeside } from '../../core/time/words.ts'
import { MS_PER_MINUTE } from '../../core/time/zone.ts'
import { plural } from '../../core/words/numbers.ts'
import { LOG_LINE_ID } from './shortcuts.ts'
import { thisInstant, useNow } from './now.tsx'

const Dock = styled.section`
  background: var(--sheet);
  border-top: 2px solid var(--ink);
  padding: 6px 16px max(6px, env(safe-area-inset-bottom));
  z-index: 5;
`

const Row = styled.div`
  display: flex;
  align-items: center;
  gap: 14px;
  min-height: 44px;
  @media (max-width: 759px) {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0 12px;
  }
`

const Key = styled.button`
  font-family: var(--mono);
  font-size: 14px;
  min-width: 26px;
  height: 26px;
  border: 1px solid var(--strong-rule);
  border-radius: 2px;
  background: none;
  color: var(--quiet);
  cursor: pointer;
  @media (max-width: 759px) {
    display: none;
  }
`

const Field = styled.input`
  flex: 1 1 320px;
  min-width: 0;
  height: 44px;
  border: 0;
  border-left: 2.5px solid var(--second);
  padding: 0 0 0 12px;
  background: none;
  font-family: var(--mono);
  font-size: 18px;
  &::placeholder {
    color: var(--quiet);
    opacity: 1;
    font-size: 15px;
  }
  &:focus-visible {
    outline-offset: -2px;
  }
`

const Back = styled.div`
  flex: 1 1 auto;
  font-size: 15px;
  line-height: 1.3;
  color: var(--second);
  @media (max-width: 759px) {
    grid-column: 1 / -1;
    grid-row: 1;
    &:not(:empty) {
      padding: 6px 0;
    }
  }
`

const Unsure = styled.span`
  color: var(--soon);
`

const OutOfRange = styled.strong`
  color: var(--act);
`

const KeepButton = styled.button`
  min-height: 44px;
  padding: 0 14px;
  border: 1.5px solid var(--strong-rule);
  border-radius: 2px;
  background: none;
  color: var(--quiet);
  font-size: 15px;
  white-space: nowrap;
  &[data-ready='true'] {
    border-color: var(--second);
    color: var(--second);
    font-weight: 650;
    cursor: pointer;
  }
`

const Options = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding: 6px 0 4px;
  &[hidden] {
    display: none;
  }
`

const Option = styled.button`
  min-height: 40px;
  padding: 4px 12px;
  border: 1.5px solid var(--second);
  border-radius: 2px;
  background: none;
  color: var(--second);
  font-size: 15px;
  cursor: pointer;
  @media (max-width: 759px) {
    min-height: 44px;
  }
  &[aria-selected='true'] {
    background: var(--second);
    color: var(--on-second);
  }
`

const Marks = ({ marks }: { marks: readonly Mark[] }) =>
  marks.map(({ text, strong }, i) => (strong ? <strong key={i}>{text}</strong> : <span key={i}>{text}</span>))

/** The choices the keeper has now: how a doubtful line could be meant, else how the last word could go on. */
const optionsOf = (back: ReadBack): Choice[] =>
  back.state === 'choose' || back.state === 'unclear'
    ? back.choices.length > 0
      ? back.choices
      : back.completions
    : back.completions

type Reader = typeof import('../../core/logline/read.ts').readLine
let loaded: Reader | null = null

/** What reads the line comes with the first key or touch: the first view of the ledger does without it. */
async function loadReader(): Promise<Reader> {
  loaded ??= (await import('../../core/logline/read.ts')).readLine
  return loaded
}

function useReader(isAsked: boolean): Reader | null {
  const [reader, setReader] = useState<{ read: Reader } | null>(loaded && { read: loaded })
  useEffect(() => {
    if (!isAsked || reader) return
    let isGone = false
    void loadReader().then((read) => isGone || setReader({ read }))
    return () => {
      isGone = true
    }
  }, [isAsked, reader])
  return reader?.read ?? null
}

/** One line at the foot of every screen that makes entries, reading back what it would keep as it is typed. */
export function LogLine({ onShowKeys }: { onShowKeys: () => void }) {
  const { journal, settings, revision, strike, which } = useHousehold()
  const draft = logLineDraft(which)
  const minute = useNow()
  const { keep, run, busy, unkept, clearUnkept } = useKeeping()
  const [left] = useState(() => readDraft<string>(draft))
  const [text, setText] = useState(left?.values ?? '')
  const [marked, setMarked] = useState(-1)
  const [kept, setKept] = useState<{ entries: Entry[]; undone: boolean } | null>(null)
  const field = useRef<HTMLInputElement>(null)
  const listId = useId()
  const [isAsked, setIsAsked] = useState(text !== '')
  const readLine = useReader(isAsked)
  const back = useMemo(
    (): ReadBack =>
      readLine
        ? readLine(text, { journal, settings, now: minute, locale: locale() })
        : { state: 'empty', completions: [] },
    // The journal is one object that grows: its revision says when to read again.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [readLine, text, journal, settings, revision, minute],
  )
  const options = optionsOf(back)
  const wording = wordingOf(journal, settings)

  const type = (next: string) => {
    setIsAsked(true)
    setText(next)
    if (next === '') forgetDraft(draft)
    else keepDraft(draft, next, thisInstant())
    setMarked(-1)
    setKept(null)
  }
  const pick = (choice: Choice) => {
    type(choice.text)
    field.current?.focus()
  }
  const enter = async () => {
    if (marked >= 0 && options[marked]) return pick(options[marked])
    // Read once more: the minute shown may be a minute old, and an entry may have come from another tab.
    const read = await loadReader()
    const now = read(text, { journal, settings, now: thisInstant(), locale: locale() })
    if (now.state !== 'keep' || busy) return
    const entries = await keep(now.contents)
    if (!entries) return
    setText((current) => (current === text ? '' : current))
    forgetDraft(draft)
    setKept({ entries, undone: false })
  }
  const undo = async () => {
    if (!kept) return
    const undone = await run(async () =>
      (await Promise.all(kept.entries.map(({ id }) => strike(id, 'taken back at once')))).flat(),
    )
    if (undone) setKept({ ...kept, undone: true })
    field.current?.focus()
  }
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') {
      event.preventDefault()
      void enter()
    } else if (event.key === 'Tab' && !event.shiftKey && back.state !== 'keep' && back.completions[0] && marked < 0) {
      event.preventDefault()
      pick(back.completions[0])
    } else if ((event.key === 'ArrowDown' || event.key === 'ArrowUp') && options.length > 0) {
      event.preventDefault()
      // Round through the options and back to none, which is -1.
      const places = options.length + 1
      setMarked(((marked + 1 + (event.key === 'ArrowDown' ? 1 : places - 1)) % places) - 1)
    } else if (event.key === 'Escape') {
      if (marked >= 0) setMarked(-1)
      else field.current?.blur()
    }
  }
  const ready = back.state === 'keep'
  return (
    <Dock aria-label="Log line">
      {unkept && <UnkeptNote unkept={unkept} onDismiss={clearUnkept} />}
      <Options role="listbox" id={listId} aria-label="Ways to go on" hidden={options.length === 0}>
        {options.map((choice, i) => (
          <Option
            key={choice.text}
            id={`${listId}-${i}`}
            type="button"
            role="option"
            tabIndex={-1}
            aria-selected={i === marked}
            onClick={() => pick(choice)}
          >
            {choice.label}
          </Option>
        ))}
      </Options>
      <Row>
        <Key type="button" aria-label="Keys" onClick={onShowKeys}>
          ;
        </Key>
        <Field
          id={LOG_LINE_ID}
          ref={field}
          value={text}
          maxLength={WORDS_LETTERS}
          onChange={(event) => type(event.target.value)}
          onFocus={() => setIsAsked(true)}
          onKeyDown={onKeyDown}
          role="combobox"
          aria-label="Log line: a tank or an animal, then what happened"
          aria-expanded={options.length > 0}
          aria-controls={listId}
          aria-activedescendant={marked >= 0 ? `${listId}-${marked}` : undefined}
          aria-autocomplete="list"
          placeholder={exampleFor(settings.units)}
          autoComplete="off"
          autoCapitalize="none"
          autoCorrect="off"
          spellCheck={false}
          enterKeyHint="done"
        />
        <Back role="status">
          {kept ? (
            <Kept kept={kept} onUndo={() => void undo()} />
          ) : (
            <>
              {left !== null && text === left.values && minute - left.at > LEFT_MS && (
                <Unsure>typed {momentBeside(left.at, minute, settings.clock)}: </Unsure>
              )}
              <ReadingBack back={back} wording={wording} now={minute} />
            </>
          )}
        </Back>
        <KeepButton type="button" data-ready={ready} aria-disabled={!ready} onClick={() => void enter()}>
          {back.state === 'keep' && back.contents.length > 1 ? `Keep ${back.contents.length}` : 'Keep it'}
        </KeepButton>
      </Row>
    </Dock>
  )
}

/** A line that was left half an hour ago is told apart from one just typed: it would be kept as of now. */
const LEFT_MS = 30 * MS_PER_MINUTE

/** What a line may be, with the household's own measure of water. */
const exampleFor = ({ volume }: UnitHabits): string =>
  `quar cu 2.1 · hall change ${volume === 'L' ? '20L' : '5gal'} · needle ate`

function Kept({ kept, onUndo }: { kept: { entries: Entry[]; undone: boolean }; onUndo: () => void }) {
  if (kept.undone) return <span>Struck out again.</span>
  return (
    <span>
      Kept{kept.entries.length > 1 ? `, ${plural(kept.entries.length, 'entry', 'entries')}` : ''}.{' '}
      <PlainButton onPress={onUndo}>undo</PlainButton>
    </span>
  )
}

/** What a copper reading means to the course it belongs to. */
function Verdict({ content, journal }: { content: Content; journal: Journal }) {
  const verdict = content.kind === 'reading' ? courseVerdict(journal, content) : null
  if (verdict === null) return null
  return verdict === 'under' || verdict === 'over' ? (
    <OutOfRange>, {VERDICT_WORDS[verdict]}</OutOfRange>
  ) : (
    <>, {VERDICT_WORDS[verdict]}</>
  )
}

function ReadingBack({ back, wording, now }: { back: ReadBack; wording: ReturnType<typeof wordingOf>; now: number }) {
  const { settings } = useHousehold()
  if (back.state === 'empty') return null
  if (back.state === 'choose') return <Unsure>{back.question} Pick one.</Unsure>
  if (back.state === 'unclear') return <Unsure>{back.message}.</Unsure>
  const at = Date.parse(back.contents[0]!.happened)
  const isNow = Math.abs(at - now) < 90_000
  return (
    <span>
      keeps:{' '}
      {back.contents.map((content, i) => (
        <span key={i}>
          {i > 0 && ' · '}
          <Marks marks={contentReadBack(content, wording)} />
          <Verdict content={content} journal={wording.journal} />
        </span>
      ))}
      , {isNow ? 'now' : momentBeside(at, now, settings.clock)}
      {back.notices.map((notice) => (
        <Unsure key={notice}> · {notice}</Unsure>
      ))}
    </span>
  )
}
