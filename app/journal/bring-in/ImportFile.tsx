import { useEffect, useId, useRef, useState } from 'react'
import { styled } from 'styled-components'
import type { ReadProblem } from '../../../core/journal/read.schema.ts'
import { Bar, Line, Rows, Small, Stack } from '../../look/text.ts'
import { Button, PlainButton, PrimaryButton } from '../../look/buttons.ts'
import { listed, plural } from '../../../core/words/numbers.ts'
import { CheckChip } from '../../look/CheckChip.ts'
import { UnkeptNote, useKeeping } from '../keeping.tsx'
import { photosOf } from '../opened.ts'
import { useHousehold, type Household } from '../provider.tsx'
import type { ImportLook, ReadFile } from './import-service.ts'

const Hidden = styled.input`
  position: absolute;
  opacity: 0;
  width: 1px;
  height: 1px;
`

/** A larger file is no household's journal, and would fill a phone's memory, MB. */
const MOST_MB = 200
const BYTES_PER_MB = 1024 * 1024

type Step =
  | { at: 'start' }
  | { at: 'reading'; name: string; done: number }
  | { at: 'wrong'; name: string; problems: ReadProblem[] }
  | { at: 'look'; name: string; look: ImportLook; broken: string[]; photoIds: string[] }
  | { at: 'taking'; count: number }
  | { at: 'done'; added: number; same: number; photos: number }

/** What reads a file and takes it in: a thread of its own, or the page itself in a browser without. */
interface Bringing {
  read: (bytes: ArrayBuffer, onProgress: (done: number) => void) => Promise<ReadFile>
  /** Courses that cannot be worked out with what the file brings. */
  workOut: () => Promise<string[]>
  take: (photoIds: readonly string[]) => Promise<number>
  end: () => void
}

async function inThread(file: File, household: Household): Promise<Bringing> {
  const { ImportThread } = await import('./import-thread.ts')
  let thread = new ImportThread(household.which)
  return {
    read: (bytes, onProgress) => thread.read(bytes, Date.now(), onProgress),
    workOut: async () => {
      const { broken, isAlive } = await thread.workOut(Date.now())
      if (!isAlive) {
        // What it had read went with it.
        thread = new ImportThread(household.which)
        await thread.read(await file.arrayBuffer(), Date.now(), () => {})
      }
      return broken
    },
    take: (photoIds) => thread.take(photoIds, household.journal),
    end: () => thread.end(),
  }
}

async function inPage(household: Household): Promise<Bringing> {
  const { ImportService } = await import('./import-service.ts')
  const service = new ImportService()
  return {
    read: (bytes, onProgress) =>
      Promise.resolve(service.read(new Uint8Array(bytes), household.journal.entries(), Date.now(), onProgress)),
    workOut: () => service.workOut(Date.now(), () => {}),
    take: async (photoIds) => {
      // Pictures first: an entry is never there before its picture.
      for (const id of photoIds) await photosOf(household.which).put(id, service.photos.get(id)!)
      return service.fresh.length > 0 ? (await household.takeIn(service.fresh)).length : 0
    },
    end: () => {},
  }
}

/** Brings a journal file in: read first, shown, and only then kept, whole or not at all. */
export function ImportFile() {
  const household = useHousehold()
  const { run, busy, unkept } = useKeeping()
  const [step, setStep] = useState<Step>({ at: 'start' })
  const bringing = useRef<Bringing | null>(null)
  const input = useRef<HTMLInputElement>(null)
  const id = useId()
  const leave = () => {
    bringing.current?.end()
    bringing.current = null
    setStep({ at: 'start' })
  }
  useEffect(() => () => bringing.current?.end(), [])
  const read = async (file: File) => {
    leave()
    const { name } = file
    const megabytes = file.size / BYTES_PER_MB
    if (megabytes > MOST_MB)
      return setStep({
        at: 'wrong',
        name,
        problems: [{ message: `expected at most ${MOST_MB} MB; this file is ${Math.round(megabytes)} MB` }],
      })
    setStep({ at: 'reading', name, done: 0 })
    const isThreaded = typeof Worker !== 'undefined' && typeof BroadcastChannel !== 'undefined'
    const mine = await (isThreaded ? inThread(file, household) : inPage(household))
    bringing.current = mine
    try {
      const found = await mine.read(await file.arrayBuffer(), (done) =>
        setStep((now) => (now.at === 'reading' ? { ...now, done } : now)),
      )
      if (bringing.current !== mine) return
      if ('problems' in found) return setStep({ at: 'wrong', name, problems: found.problems })
      const { look } = found
      const broken = look.fresh > 0 && look.conflicts.length === 0 ? await mine.workOut() : []
      // Only pictures that are not here yet.
      const here = new Set(
        await photosOf(household.which)
          .ids()
          .catch(() => []),
      )
      const photoIds = look.photoIds.filter((photoId) => !here.has(photoId))
      setStep({ at: 'look', name, look, broken, photoIds })
    } catch (error) {
      // Left meanwhile, or another file was chosen.
      if (bringing.current === mine)
        setStep({ at: 'wrong', name, problems: [{ message: error instanceof Error ? error.message : String(error) }] })
    }
  }
  const takeIn = async (look: ImportLook, photoIds: readonly string[]) => {
    const mine = bringing.current!
    setStep({ at: 'taking', count: look.fresh })
    let added = 0
    const kept = await run(async () => {
      added = await mine.take(photoIds)
      return []
    })
    setStep(kept === null ? { at: 'start' } : { at: 'done', added, same: look.same, photos: photoIds.length })
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
        <Button isDisabled={step.at === 'taking'} onPress={() => input.current?.click()}>
          Choose a journal file
        </Button>
      </div>
      {step.at === 'reading' && (
        <Line>
          <Small role="status">
            Reading {step.name} … {step.done > 0 && `${Math.round(step.done * 100)} %`}
          </Small>
          <PlainButton onPress={leave}>cancel</PlainButton>
        </Line>
      )}
      {step.at === 'wrong' && <Wrong name={step.name} problems={step.problems} />}
      {step.at === 'look' && (
        <Look
          name={step.name}
          look={step.look}
          broken={step.broken}
          photos={step.photoIds.length}
          busy={busy}
          onTake={() => void takeIn(step.look, step.photoIds)}
          onLeave={leave}
        />
      )}
      {step.at === 'taking' && <Small role="status">Adding {plural(step.count, 'entry', 'entries')} …</Small>}
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
  look,
  broken,
  photos,
  busy,
  onTake,
  onLeave,
}: {
  name: string
  look: ImportLook
  broken: readonly string[]
  photos: number
  busy: boolean
  onTake: () => void
  onLeave: () => void
}) {
  const { fresh, same, conflicts, counts, span, isAltered } = look
  const [isAccepted, setAccepted] = useState(false)
  if (conflicts.length > 0)
    return (
      <Bar $tone="act" role="alert">
        {name} holds {plural(conflicts.length, 'entry', 'entries')} that this journal has with other content (the first:{' '}
        {conflicts[0]}). Neither overwrites the other, so nothing was taken in.
      </Bar>
    )
  if (fresh === 0 && photos > 0)
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
  if (fresh === 0)
    return (
      <Small role="status">
        Nothing new in {name}: all {plural(same, 'entry', 'entries')} are here already.
      </Small>
    )
  return (
    <Stack $gap={10}>
      <p>
        <strong>{plural(fresh, 'entry', 'entries')}</strong> would be added from {name}
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
      {broken.length > 0 && (
        <Bar $tone="act" role="alert">
          With this file {listed(broken)} cannot be calculated here: its tasks would not be shown.
        </Bar>
      )}
      {isAltered && (
        <Bar $tone="act" role="alert">
          <Stack $gap={8}>
            <span>
              {name} was changed or damaged after it was exported: its checksum does not fit. Copy it again from where
              it was saved, if you can.
            </span>
            <CheckChip isSelected={isAccepted} onChange={setAccepted}>
              I have checked it: add it anyway
            </CheckChip>
          </Stack>
        </Bar>
      )}
      <Line>
        <PrimaryButton onPress={onTake} isDisabled={busy || (isAltered && !isAccepted)}>
          Add {plural(fresh, 'entry', 'entries')}
        </PrimaryButton>
        <PlainButton onPress={onLeave}>leave it</PlainButton>
      </Line>
    </Stack>
  )
}
