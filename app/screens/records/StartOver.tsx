import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { exportJournal } from '../../../core/journal/export.ts'
import { Journal } from '../../../core/journal/journal.ts'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { newId } from '../../journal/opened.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, PlainButton, PrimaryButton } from '../../look/buttons.ts'
import { Heading, Line, Small, Stack } from '../../look/text.ts'
import { COPIES, PutAside } from '../../journal/PutAside.tsx'
import { keepCopy } from '../../storage/copies.ts'
import { plural } from '../../../core/words/numbers.ts'

/** The sample afresh; the own journal empty, its content put aside. */
export function StartOver() {
  const { which } = useHousehold()
  return which === 'sample' ? <SampleAfresh /> : <StartEmpty />
}

function SampleAfresh() {
  const { refreshSample } = useHousehold()
  const { run, busy, unkept } = useKeeping()
  return (
    <Stack $gap={12}>
      <Heading>The sample afresh</Heading>
      <Small>
        Its four months end on the day it was loaded. Loaded afresh they end today, and what was tried in it is gone.
      </Small>
      {unkept && <UnkeptNote unkept={unkept} />}
      <div>
        <Button
          isDisabled={busy}
          onPress={() =>
            void run(async () => {
              await refreshSample()
              return []
            })
          }
        >
          Load the sample afresh
        </Button>
      </div>
    </Stack>
  )
}

function StartEmpty() {
  const { journal, replaceAll } = useHousehold()
  const { run, busy, unkept } = useKeeping()
  const client = useQueryClient()
  const [sure, setSure] = useState(false)
  const empty = () =>
    run(async () => {
      const made = new Date().toISOString()
      const id = newId()
      await replaceAll(async (onDisk) => {
        // Another tab may have kept entries that this one has not heard of: what is on disk is put aside, and what is held here.
        const whole = new Journal()
        whole.add(onDisk)
        whole.add(journal.entries())
        // Nothing is emptied before its copy is on disk.
        await keepCopy({ id, made, entries: whole.size, text: exportJournal(whole, made) })
        return []
      })
      await client.invalidateQueries({ queryKey: COPIES })
      return []
    })
  return (
    <Stack $gap={12}>
      <Heading>Start empty</Heading>
      <Small>Empties your journal on this device. A copy of all of it stays here and can be brought back.</Small>
      {unkept && <UnkeptNote unkept={unkept} />}
      {sure ? (
        <Line>
          <PrimaryButton onPress={() => void empty()} isDisabled={busy}>
            Put {plural(journal.size, 'entry', 'entries')} aside and start empty
          </PrimaryButton>
          <PlainButton onPress={() => setSure(false)}>leave it</PlainButton>
        </Line>
      ) : (
        <div>
          <Button onPress={() => setSure(true)} isDisabled={journal.size === 0}>
            Start empty
          </Button>
        </div>
      )}
      <PutAside />
    </Stack>
  )
}
