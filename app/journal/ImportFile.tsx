import { useId, useRef, useState } from 'react'
import { styled } from 'styled-components'
import type { ReadProblem } from '../../core/journal/read.schema.ts'
import { Bar, Line, Rows, Small, Stack } from '../look/text.ts'
import { Button, PlainButton, PrimaryButton } from '../look/buttons.ts'
import { plural } from '../../core/words/numbers.ts'
import { previewOf, type Preview } from './importing.ts'
import { photosOf } from './opened.ts'
import { UnkeptNote, useKeeping } from './keeping.tsx'
import { useHousehold } from './provider.tsx'

const Hidden = styled.input`
  position: absolute;
  opacity: 0;
  width: 1px;
  height: 1px;
`

type Step =
  | { at: 'start' }
  | { at: 'reading'; name: string }
  | { at: 'wrong'; name: string; problems: ReadProblem[] }
  | { at: 'look'; name: string; preview: Preview; photos: ReadonlyMap<string, Uint8Array> }
  | { at: 'done'; added: number; same: number; photos: number }

/** Brings a journal file in: read first, shown, and only then kept, whole or not at all. */
export function ImportFile() {
  const household = useHousehold()
  const { run, busy, unkept } = useKeeping()
  const [step, setStep] = useState<Step>({ at: 'start' })
  const input = useRef<HTMLInputElement>(null)
  const id = useId()
  const read = async (file: File) => {
    setStep({ at: 'reading', name: file.name })
    const { readJournal } = await import('../../core/journal/read.ts')
    const { readArchive } = await import('./archive.ts')
    const archive = readArchive(new Uint8Array(await file.arrayBuffer()))
    if ('problem' in archive) return setStep({ at: 'wrong', name: file.name, problems: [{ message: archive.problem }] })
    const result = readJournal({ text: archive.text })
    if (!result.ok) return setStep({ at: 'wrong', name: file.name, problems: [{ message: result.error.message }] })
    const { entries, problems } = result.value
    const { stampProblems } = await import('../../core/journal/stamps.ts')
    const faults = problems.length > 0 ? problems : stampProblems(entries, Date.now())
    if (faults.length > 0) return setStep({ at: 'wrong', name: file.name, problems: faults })
    // Only pictures that an entry names, and that are not here yet.
    const store = photosOf(household.which)
    const here = new Set(await store.ids().catch(() => []))
    const named = entries.flatMap((entry) =>
      'content' in entry && entry.content.kind === 'photo' ? [entry.content.photoId] : [],
    )
    const photos = new Map(
      named.flatMap((id) => {
        const jpeg = archive.photos.get(id)
        return jpeg && !here.has(id) ? [[id, jpeg] as const] : []
      }),
    )
    setStep({ at: 'look', name: file.name, preview: previewOf(household.journal, entries), photos })
  }
  const takeIn = async (preview: Preview, photos: ReadonlyMap<string, Uint8Array>) => {
    const kept = await run(async (one) => {
      // Pictures first: an entry is never there before its picture.
      for (const [id, jpeg] of photos) await photosOf(one.which).put(id, jpeg)
      return preview.fresh.length > 0 ? one.takeIn(preview.fresh) : []
    }, preview.fresh)
    if (!kept) return
    // Another file may have been chosen meanwhile: its preview stays.
    setStep((now) =>
      now.at === 'look' && now.preview !== preview
        ? now
        : { at: 'done', added: kept.length, same: preview.same, photos: photos.size },
    )
  }
  return (
    <Stack $gap={12}>
      <div>
        <Hidden
          ref={input}
          id={id}
          type="file"
          accept=".json,.zip,application/json,application/zip"
          aria-label="Journal file"
          onChange={(event) => {
            const file = event.target.files?.[0]
            if (file) void read(file)
            event.target.value = ''
          }}
        />
        <Button onPress={() => input.current?.click()}>Choose a journal file</Button>
      </div>
      {step.at === 'reading' && <Small role="status">Reading {step.name} …</Small>}
      {step.at === 'wrong' && <Wrong name={step.name} problems={step.problems} />}
      {step.at === 'look' && (
        <Look
          name={step.name}
          preview={step.preview}
          photos={step.photos.size}
          busy={busy}
          onTake={() => void takeIn(step.preview, step.photos)}
          onLeave={() => setStep({ at: 'start' })}
        />
      )}
      {unkept && <UnkeptNote unkept={unkept} />}
      {step.at === 'done' && (
        <Small role="status">
          {plural(step.added, 'entry', 'entries')} added
          {step.photos > 0 ? ` with ${plural(step.photos, 'photo')}` : ''}
          {step.same > 0 ? `; ${step.same} were here already` : ''}.
        </Small>
      )}
    </Stack>
  )
}

const SHOWN_PROBLEMS = 8

function Wrong({ name, problems }: { name: string; problems: readonly ReadProblem[] }) {
  return (
    <Bar $tone="act" role="alert">
      <Stack $gap={6}>
        <span>
          {name} was not taken in; nothing was changed. {plural(problems.length, 'fault')}:
        </span>
        <ul>
          {problems.slice(0, SHOWN_PROBLEMS).map((problem, i) => (
            <li key={i}>
              {problem.line !== undefined ? `line ${problem.line}: ` : problem.path ? `${problem.path}: ` : ''}
              {problem.message}
            </li>
          ))}
        </ul>
        {problems.length > SHOWN_PROBLEMS && <span>and {problems.length - SHOWN_PROBLEMS} more</span>}
      </Stack>
    </Bar>
  )
}

function Look({
  name,
  preview,
  photos,
  busy,
  onTake,
  onLeave,
}: {
  name: string
  preview: Preview
  photos: number
  busy: boolean
  onTake: () => void
  onLeave: () => void
}) {
  const { fresh, same, conflicts, counts, span } = preview
  if (conflicts.length > 0)
    return (
      <Bar $tone="act" role="alert">
        {name} holds {plural(conflicts.length, 'entry', 'entries')} that this journal has with other content (the first:{' '}
        {conflicts[0]}). Neither overwrites the other, so nothing was taken in.
      </Bar>
    )
  if (fresh.length === 0 && photos > 0)
    return (
      <Stack $gap={10}>
        <p>
          All {plural(same, 'entry', 'entries')} are here already; <strong>{plural(photos, 'photo')}</strong> they name
          {photos === 1 ? ' is' : ' are'} not.
        </p>
        <Line>
          <PrimaryButton onPress={onTake} isDisabled={busy}>
            Add {plural(photos, 'photo')}
          </PrimaryButton>
          <PlainButton onPress={onLeave}>leave it</PlainButton>
        </Line>
      </Stack>
    )
  if (fresh.length === 0)
    return (
      <Small role="status">
        Nothing new in {name}: all {plural(same, 'entry', 'entries')} are here already.
      </Small>
    )
  return (
    <Stack $gap={10}>
      <p>
        <strong>{plural(fresh.length, 'entry', 'entries')}</strong> would be added from {name}
        {span && `, ${span}`}
        {photos > 0 && `, with ${plural(photos, 'photo')}`}
        {same > 0 && `; ${same} are here already`}.
      </p>
      <Rows>
        {counts.map(([what, count]) => (
          <li key={what}>
            <Line style={{ justifyContent: 'space-between' }}>
              <span>{what}</span>
              <span>{count}</span>
            </Line>
          </li>
        ))}
      </Rows>
      <Line>
        <PrimaryButton onPress={onTake} isDisabled={busy}>
          Add {plural(fresh.length, 'entry', 'entries')}
        </PrimaryButton>
        <PlainButton onPress={onLeave}>leave it</PlainButton>
      </Line>
    </Stack>
  )
}
