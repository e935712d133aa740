import { useMemo, useState } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import type { CaseTable } from '../../../core/catalogue/diagnosis/diagnosis.types.ts'
import type { Answers } from '../../../core/diagnosis/asking.ts'
import { caseContents, seenShortlyBefore } from '../../../core/diagnosis/cases.ts'
import type { CaseSubject } from '../../../core/diagnosis/context.ts'
import { tankById, type Tank } from '../../../core/household/tanks.ts'
import { iso } from '../../../core/time/zone.ts'
import { useDraft } from '../../fields/draft.ts'
import { thisInstant } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { newId } from '../../journal/opened.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { PlainButton, PrimaryButton } from '../../look/buttons.ts'
import { Missing } from '../../look/Missing.tsx'
import { Page, PageHead, TwoParts } from '../../look/page.ts'
import { Line, Quiet, Stack, Title } from '../../look/text.ts'
import { Happened } from '../../water/Happened.tsx'
import { lookDraftName } from './look-draft.ts'
import { NowLines } from './NowLines.tsx'
import { RankingPanel } from './RankingPanel.tsx'
import { SignBoard, type Subject } from './SignBoard.tsx'
import { subjectWords, whereToLook } from './subjects.ts'
import { countOf, useRanking } from './useRanking.ts'

/** A look at something that shows: answers on the device until they are kept as a case. */
export function Look() {
  const { journal } = useHousehold()
  const [params] = useSearchParams()
  const tank = tankById(journal, params.get('tank') ?? '')
  const where = tank && whereToLook(tank).find(({ id }) => id === params.get('at'))
  if (!tank || !where)
    return (
      <Missing title="Nothing to look at" back="Diagnose" href="/diagnose">
        Choose a tank, and what shows in it.
      </Missing>
    )
  const animals = params.get('animals')?.split(',').filter(Boolean) ?? []
  const seen = params.get('seen')?.split(',').filter(Boolean) ?? []
  return (
    <LookAt
      key={`${tank.id}-${where.id}-${animals.join()}-${seen.join()}`}
      tank={tank}
      title={where.title}
      table={where.table}
      subject={where.subject}
      animalIds={animals}
      seen={seen}
    />
  )
}

function LookAt({
  tank,
  title,
  table,
  subject,
  animalIds,
  seen,
}: {
  tank: Tank
  title: string
  table: CaseTable
  subject: Subject
  animalIds: readonly string[]
  seen: readonly string[]
}) {
  const { journal, which } = useHousehold()
  const navigate = useNavigate()
  const { keep, busy, unkept } = useKeeping()
  const [at] = useState(() => thisInstant())
  const [values, change, forget] = useDraft(lookDraftName(which, { tankId: tank.id, table, animalIds }, seen))
  const before = useMemo(
    () => seenShortlyBefore(journal, { table, tankId: tank.id, animalIds: [...animalIds] }, at),
    [journal, table, tank.id, animalIds, at],
  )
  const own = useMemo(
    (): Answers => ({
      ...before,
      ...Object.fromEntries(seen.map((sign) => [sign, 'present' as const])),
      ...(values as Answers),
    }),
    [before, seen, values],
  )
  const about = useMemo((): CaseSubject => ({ table, tankId: tank.id, animalIds }), [table, tank.id, animalIds])
  const { known, answers, ranking } = useRanking(about, own, at)
  const keepCase = async () => {
    const caseId = newId()
    const { table: of, tankId } = about
    const contents = caseContents({ caseId, tankId, table: of, animalIds: [...animalIds] }, own, iso(thisInstant()))
    if (!(await keep(contents))) return
    forget()
    void navigate(`/diagnose/${caseId}`)
  }
  return (
    <Page>
      <PageHead>
        <div>
          <Title>{animalIds.length > 0 ? subjectWords(journal, about) : title}</Title>
          <Quiet>{tank.name}: say what you see; what you did not look at stays open</Quiet>
        </div>
        <Line>
          <PrimaryButton isDisabled={busy || ranking.answered === 0} onPress={() => void keepCase()}>
            Keep as a case
          </PrimaryButton>
          {Object.keys(values).length > 0 && <PlainButton onPress={forget}>begin again</PlainButton>}
        </Line>
      </PageHead>
      {unkept && <UnkeptNote unkept={unkept} />}
      <NowLines ranking={ranking} />
      <TwoParts>
        <SignBoard
          table={table}
          subject={subject}
          answers={answers}
          known={known}
          own={own}
          onAnswer={change}
          microscopeHref={`/diagnose/microscope/sample?tank=${tank.id}`}
        />
        <Stack $gap={24}>
          <RankingPanel
            table={table}
            ranking={ranking}
            answers={answers}
            ownCount={countOf(own)}
            tankId={tank.id}
            caseId={null}
            onAnswer={change}
          />
          <Happened tankId={tank.id} until={at} />
        </Stack>
      </TwoParts>
    </Page>
  )
}
