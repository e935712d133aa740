import { coursesOf } from '../../../core/courses/course.ts'
import { fullCourseName } from '../../../core/courses/names.ts'
import { useCallback, useMemo, useState } from 'react'
import { useParams } from 'react-router'
import type { Answer } from '../../../core/catalogue/diagnosis/diagnosis.types.ts'
import { answersOf, caseById, type Case, reopenContent } from '../../../core/diagnosis/cases.ts'
import type { CaseSubject } from '../../../core/diagnosis/context.ts'
import { conditionName } from '../../../core/diagnosis/condition-facts.ts'
import { goneAnimals } from '../../../core/diagnosis/gone.ts'
import { animalLabel } from '../../../core/household/animals.ts'
import { tankById } from '../../../core/household/tanks.ts'
import { dayBeside } from '../../../core/time/words.ts'
import { iso } from '../../../core/time/zone.ts'
import { listed } from '../../../core/words/numbers.ts'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, ButtonLink, PlainLink, PrimaryButton } from '../../look/buttons.ts'
import { Missing } from '../../look/Missing.tsx'
import { Page, PageHead, TwoParts } from '../../look/page.ts'
import { Bar, Line, Quiet, Stack } from '../../look/text.ts'
import { vetPageHref } from '../../courses/vet-page-href.ts'
import { CaseFollowUp } from './CaseFollowUp.tsx'
import { CaseTitle } from './CaseTitle.tsx'
import { Happened } from '../../water/Happened.tsx'
import { NowLines } from './NowLines.tsx'
import { RankingPanel } from './RankingPanel.tsx'
import { SignBoard } from './SignBoard.tsx'
import { MICROSCOPE_TABLES, subjectWords, whereToLook } from './subjects.ts'
import { countOf, useRanking } from './useRanking.ts'

/** A case: its signs and how they rank, what was thought of and ruled out, and its end. */
export function CasePage() {
  const { caseId = '' } = useParams()
  const { journal } = useHousehold()
  const one = caseById(journal, caseId)
  if (!one)
    return (
      <Missing title="No such case" back="All cases" href="/diagnose">
        The journal holds no case of this name: it may be in the other household.
      </Missing>
    )
  return <CaseBody key={one.id} one={one} />
}

function CaseBody({ one }: { one: Case }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const { keep, busy, unkept } = useKeeping()
  const [opened] = useState(() => thisInstant())
  const [isLooking, setIsLooking] = useState(false)
  const { start, ended, startedAt, entryId, tankId } = one
  const about = useMemo(
    (): CaseSubject => ({
      table: start.table,
      tankId,
      animalIds: start.animalIds,
      partIds: start.partIds ?? [],
    }),
    [start, tankId],
  )
  const own = useMemo(() => answersOf(one), [one])
  // A closed case shows what was known when it was closed.
  const { known, answers, ranking } = useRanking(about, own, ended?.at ?? opened)
  const { clock } = settings
  const onAnswer = useCallback(
    (sign: string, answer: Answer) =>
      void keep([
        {
          kind: 'case-mark',
          happened: iso(thisInstant()),
          caseId: one.id,
          tankId,
          mark: 'signs',
          signs: [{ sign, answer }],
        },
      ]),
    [keep, one.id, tankId],
  )
  const courses = coursesOf(journal).filter(({ caseId }) => caseId === one.id)
  const tank = tankById(journal, tankId)
  const place = tank && whereToLook(tank).find(({ table }) => table === start.table)
  const gone = ended ? null : goneAnimals(journal, start)
  const isOver = ended !== null || gone !== null
  const isCoral = start.table === 'coral-and-pests'
  return (
    <Page>
      <PageHead>
        <div>
          <CaseTitle entryId={entryId} start={start} fallback={subjectWords(journal, about)} />
          <Quiet>
            {tank?.name}, since {dayBeside(clock.dayOf(startedAt), clock.dayOf(now))}
            {start.title !== undefined && !isCoral && ` · ${subjectWords(journal, about)}`}
          </Quiet>
        </div>
        <Line>
          {start.animalIds.length > 0 && (
            <ButtonLink href={vetPageHref(start.animalIds)}>For the veterinarian</ButtonLink>
          )}
          {MICROSCOPE_TABLES.includes(start.table) && (
            <ButtonLink href={`/diagnose/microscope/sample?case=${one.id}`}>Microscope</ButtonLink>
          )}
          <ButtonLink href="/diagnose">All cases</ButtonLink>
        </Line>
      </PageHead>
      {unkept && <UnkeptNote unkept={unkept} />}
      {courses.length > 0 && (
        <Quiet as="p" style={{ marginBottom: 14 }}>
          Treated by:{' '}
          {courses.map((course) => (
            <span key={course.id}>
              <PlainLink href={`/courses/${course.id}`}>{fullCourseName(course)}</PlainLink>
              {course.ended ? `, ${course.ended.outcome}` : ', running'}{' '}
            </span>
          ))}
        </Quiet>
      )}
      {ended ? (
        <Stack $gap={10} style={{ marginBottom: 20 }}>
          <Bar $tone="second">
            Closed {dayBeside(clock.dayOf(ended.at), clock.dayOf(now))}: {ended.outcome}
            {ended.cause !== null && `, ${conditionName(ended.cause)}`}
            {ended.words !== null && `. ${ended.words}`}
          </Bar>
          <Line>
            <Button isDisabled={busy} onPress={() => void keep([reopenContent(one, thisInstant())])}>
              Open it again
            </Button>
          </Line>
        </Stack>
      ) : gone ? (
        <Bar $tone="act" style={{ marginBottom: 20 }}>
          {listed(
            gone.map(
              (animal) =>
                `${animalLabel(animal)} ${animal.end!.how === 'died' ? 'died' : 'left'} ${dayBeside(clock.dayOf(animal.end!.at), clock.dayOf(now))}`,
            ),
          )}
          . Nothing more is asked here: write what it was, if it is known, and close the case below.
        </Bar>
      ) : (
        <NowLines ranking={ranking} />
      )}
      <TwoParts>
        <Stack $gap={28}>
          {!isOver && !isLooking && (
            <div>
              <PrimaryButton onPress={() => setIsLooking(true)}>Look again: what is seen now</PrimaryButton>
            </div>
          )}
          {!isOver && isLooking && (
            <SignBoard
              table={start.table}
              subject={isCoral ? null : (place?.subject ?? null)}
              answers={answers}
              known={known}
              own={own}
              onAnswer={onAnswer}
              microscopeHref={`/diagnose/microscope/sample?case=${one.id}`}
            />
          )}
          <CaseFollowUp one={one} ranking={ranking} isOver={isOver} />
        </Stack>
        <Stack $gap={24}>
          <RankingPanel
            table={start.table}
            ranking={ranking}
            answers={answers}
            ownCount={countOf(own)}
            tankId={tankId}
            caseId={one.id}
            onAnswer={isOver ? null : onAnswer}
          />
          <Happened tankId={start.tankId} until={startedAt} />
        </Stack>
      </TwoParts>
    </Page>
  )
}
