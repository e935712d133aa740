import { useState } from 'react'
import { tankById } from '../../../core/household/tanks.ts'
import type { ContentKind } from '../../../core/journal/entry.ts'
import type { Line } from '../../../core/journal/journal.ts'
import { tanksOf as tanksOfContent } from '../../../core/journal/subjects.ts'
import { overridesOf, setAsideWords } from '../../../core/safety/answers.ts'
import { ruleWords } from '../../../core/safety/rule-words.ts'
import { momentBeside } from '../../../core/time/words.ts'
import { useNow } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, ButtonLink, PlainButton } from '../../look/buttons.ts'
import { Line as Row, Small, Stack } from '../../look/text.ts'
import { keepPhotos } from '../../photos/keeping.ts'
import { Pictures, usePicturesAbout } from '../../photos/Pictures.tsx'
import { TakePhoto } from '../../photos/TakePhoto.tsx'
import { contentMarks, contentReadBack, marksText, wordingOf } from '../../words/entries.ts'
import { capital } from '../../../core/words/numbers.ts'
import { EntryFields, FORM_OF } from './EntryFields.tsx'
import { Marks } from './marks.tsx'
import { Shell, type PanelProps } from './PanelShell.tsx'

/** One entry: what it says, its pictures, how it came to stand so, and putting it right. */
export function EntryPanel({
  line,
  onOpen,
  onClose,
}: {
  line: Line
  onOpen: PanelProps['onOpen']
  onClose: () => void
}) {
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
        {overridesOf(line.content).map((one) => (
          <Small key={one.rule}>
            set aside: {ruleWords(one.rule)}: {setAsideWords(one)}
          </Small>
        ))}
        <WayOn line={line} />
        <EntryPictures line={line} />
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

/** From an entry to where it came from or leads: a tally to its microscope, signs to what they may be. */
function WayOn({ line }: { line: Line }) {
  const { content, struck } = line
  if (struck || content.kind !== 'tally') return <AskWhatItIs line={line} />
  const { tankId, caseId } = content
  return (
    <div>
      <ButtonLink
        href={`/diagnose/microscope/tally?${new URLSearchParams({ tank: tankId, ...(caseId !== undefined && { case: caseId }) }).toString()}`}
      >
        The tallies over time
      </ButtonLink>
    </div>
  )
}

function AskWhatItIs({ line: { content, struck } }: { line: Line }) {
  if (struck || content.kind !== 'sighting') return null
  const seen = content.signs.filter(({ present }) => present).map(({ sign }) => sign)
  if (seen.length === 0) return null
  const { tankId, animalIds } = content
  return (
    <div>
      <ButtonLink
        href={`/diagnose/look?${new URLSearchParams({ tank: tankId, at: 'fish', animals: animalIds.join(), seen: seen.join() }).toString()}`}
      >
        What may it be?
      </ButtonLink>
    </div>
  )
}

/** The pictures of an entry, and one more to it. */
function EntryPictures({ line }: { line: Line }) {
  const { journal, settings } = useHousehold()
  const { run, unkept } = useKeeping()
  const pictures = usePicturesAbout(line.id)
  const tankId = tanksOfContent(line.content)[0]
  const what = marksText(contentMarks(line.content, wordingOf(journal, settings)))
  return (
    <>
      <Pictures photos={pictures} alt={what} />
      {!line.struck && line.content.kind !== 'photo' && tankId !== undefined && (
        <TakePhoto
          what={what}
          onTaken={(photo) => void run((household) => keepPhotos(household, [photo], { tankId, about: line.id }))}
        />
      )}
      {unkept && <UnkeptNote unkept={unkept} />}
    </>
  )
}

const TELLS_WHERE: Partial<Record<ContentKind, string>> = {
  'tank-setup': 'A tank is put right on its own page: Tanks.',
  'tank-change': 'A tank is put right on its own page: Tanks.',
  photo: 'A photo is struck out here; the picture itself stays on this device.',
  'acclimation-start': 'The way across stands under Arrivals.',
  'acclimation-end': 'The way across stands under Arrivals.',
  'introduction-start': 'It stands under Arrivals.',
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
