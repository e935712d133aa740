import { faultWords } from '../../../core/journal/fault-words.ts'
import { noteOfUnreadable, repairedEntry } from '../../../core/journal/repair.ts'
import { iso } from '../../../core/time/zone.ts'
import { plural } from '../../../core/words/numbers.ts'
import { thisInstant } from '../../frame/now.tsx'
import { UnkeptNote, useKeeping } from '../../journal/keeping.tsx'
import { entriesOf } from '../../journal/opened.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { Button } from '../../look/buttons.ts'
import { Bar, Heading, Line, Small, Stack } from '../../look/text.ts'
import { downloadText } from '../../storage/download.ts'
import type { Unreadable } from '../../storage/read-segments.ts'

/** So many are shown at a time: the next come up as these are mended. */
const SHOWN = 20

const kindOf = (value: unknown): string => {
  const kind = (value as { content?: { kind?: unknown } } | null)?.content?.kind
  return typeof kind === 'string' ? kind.replaceAll('-', ' ') : 'something'
}

/** What is stored on this device and cannot be read: what is wrong with each, and ways to mend it or take it out. */
export function CouldNotRead() {
  const { unreadable } = useHousehold()
  if (unreadable.length === 0) return null
  return (
    <section>
      <Heading>Could not be read</Heading>
      <Stack $gap={14}>
        <Bar $tone="act">
          {plural(unreadable.length, 'stored value')} could not be read. Nothing of{' '}
          {unreadable.length === 1 ? 'it' : 'them'} is lost: mend {unreadable.length === 1 ? 'it' : 'each'} here, or
          save the text.
        </Bar>
        <div>
          <Button
            onPress={() =>
              downloadText(
                'brinvo-not-read.json',
                JSON.stringify(
                  unreadable.map(({ value }) => value),
                  null,
                  1,
                ),
              )
            }
          >
            Save {unreadable.length === 1 ? 'its text' : 'their text'}
          </Button>
        </div>
        {unreadable.slice(0, SHOWN).map((one, i) => (
          <One key={`${one.key} ${i} ${unreadable.length}`} unreadable={one} />
        ))}
        {unreadable.length > SHOWN && <Small>and {unreadable.length - SHOWN} more</Small>}
      </Stack>
    </section>
  )
}

function One({ unreadable }: { unreadable: Unreadable }) {
  const { journal } = useHousehold()
  const { run, busy, unkept } = useKeeping()
  const mended = repairedEntry(unreadable.value)
  const asNote = () =>
    run((household) =>
      household.mend(unreadable, entriesOf(journal, [noteOfUnreadable(unreadable.value, iso(thisInstant()))])),
    )
  return (
    <Stack $gap={6}>
      <p>
        {kindOf(unreadable.value)}: {faultWords(unreadable.fault)}
      </p>
      {unkept && <UnkeptNote unkept={unkept} />}
      <Line>
        {mended && (
          <Button isDisabled={busy} onPress={() => void run((household) => household.mend(unreadable, [mended]))}>
            Cut it to what can be kept; the whole text goes to its note
          </Button>
        )}
        <Button isDisabled={busy} onPress={() => void asNote()}>
          Keep its text as a note
        </Button>
      </Line>
    </Stack>
  )
}
