import { useNavigate, useSearchParams } from 'react-router'
import { useForm } from 'react-hook-form'
import { useState } from 'react'
import { doseOfRun, openBenches, sessionLimit } from '../../../core/bench/follow.ts'
import { PROCEDURES } from '../../../core/catalogue/procedures/procedures.data.ts'
import type { Procedure } from '../../../core/catalogue/procedures/procedure.types.ts'
import { partsOf } from '../../../core/household/parts.ts'
import { tankById, tanksOf, type Tank } from '../../../core/household/tanks.ts'
import { momentBeside } from '../../../core/time/words.ts'
import { iso } from '../../../core/time/zone.ts'
import { sourceWords } from '../../../core/words/sources.ts'
import { SelectField } from '../../fields/fields.tsx'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { newId } from '../../journal/opened.ts'
import { UnkeptNote, useKeeping } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { ButtonLink, PrimaryButton } from '../../look/buttons.ts'
import { CheckChip } from '../../look/CheckChip.ts'
import { Missing } from '../../look/Missing.tsx'
import { Page, PageHead } from '../../look/page.ts'
import { DoubtList, useDoubts } from '../../safety/Doubts.tsx'
import { Heading, Line, Quiet, Rows, Small, Stack, Title } from '../../look/text.ts'

/** The bench: procedures for wet hands, and those that are under way. */
export function Benches() {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const [params, setParams] = useSearchParams()
  const tanks = tanksOf(journal)
  const tank = tankById(journal, params.get('tank') ?? '') ?? tanks[0]
  const form = useForm({ values: { tankId: tank?.id ?? '' } })
  if (!tank)
    return (
      <Missing title="Bench" back="Set up a tank" href="/tanks/new">
        A procedure is done at a tank.
      </Missing>
    )
  const running = openBenches(journal)
  return (
    <Page>
      <PageHead>
        <div>
          <Title>Bench</Title>
          <Quiet>one thing at a time, with wet hands</Quiet>
        </div>
      </PageHead>
      <Stack $gap={26}>
        {running.length > 0 && (
          <section>
            <Heading>Under way</Heading>
            <Rows>
              {running.map((run) => (
                <li key={run.id}>
                  <Line style={{ justifyContent: 'space-between' }}>
                    <div>
                      <strong>{run.procedure.name}</strong>
                      <Small>since {momentBeside(run.startedAt, now, settings.clock)}</Small>
                    </div>
                    <ButtonLink href={`/bench/${run.id}`}>Go on</ButtonLink>
                  </Line>
                </li>
              ))}
            </Rows>
          </section>
        )}
        <Line>
          <SelectField
            control={form.control}
            name="tankId"
            label="Tank"
            options={tanks.map(({ id, name }) => ({ value: id, label: name }))}
            onPick={(id) => setParams({ tank: id })}
          />
        </Line>
        {PROCEDURES.filter(({ water }) => water === null || water === tank.water).map((procedure) => (
          <Begin key={`${procedure.id} ${tank.id}`} procedure={procedure} tank={tank} />
        ))}
      </Stack>
    </Page>
  )
}

function Begin({ procedure, tank }: { procedure: Procedure; tank: Tank }) {
  const { journal } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const navigate = useNavigate()
  const parts =
    procedure.parts === null
      ? []
      : partsOf(journal, tank.id).filter(({ what, control }) => what === procedure.parts && !control)
  const [left, setLeft] = useState<readonly string[]>([])
  const chosen = parts.filter(({ id }) => !left.includes(id))
  const netL = tank.volume?.netL ?? null
  const now = useNow()
  const most = doseOfRun(procedure, { tankId: tank.id }, sessionLimit(netL).most, iso(now))
  const doubts = useDoubts(most ? [most] : [])
  const needsVolume = procedure.doses !== undefined && netL === null
  const canBegin = (procedure.parts === null || chosen.length > 0) && !needsVolume && doubts.isClear
  const canAsk = procedure.parts === null || chosen.length > 0
  const begin = async () => {
    const benchId = newId()
    const kept = await keep([
      {
        kind: 'bench-start',
        happened: iso(thisInstant()),
        benchId,
        procedure: procedure.id,
        tankId: tank.id,
        ...(most && doubts.answered([most])[0]!.overrides && { overrides: doubts.answered([most])[0]!.overrides }),
        ...(procedure.parts !== null && { partIds: chosen.map(({ id }) => id) }),
      },
    ])
    if (kept) void navigate(`/bench/${benchId}`)
  }
  return (
    <section>
      <Heading>
        <span>{procedure.name}</span>
        <Quiet>{procedure.about}</Quiet>
      </Heading>
      <Stack $gap={12} style={{ paddingTop: 12 }}>
        {procedure.parts !== null && parts.length === 0 && (
          <Small>
            {tank.name} has no {procedure.parts} named yet: a course on patches names them, or the tank’s corals page.
          </Small>
        )}
        <Line $gap={8}>
          {parts.map(({ id, name }) => (
            <CheckChip
              key={id}
              isSelected={!left.includes(id)}
              onChange={(isIn) => setLeft(isIn ? left.filter((one) => one !== id) : [...left, id])}
            >
              {name}
            </CheckChip>
          ))}
        </Line>
        {needsVolume && <Small>Without its net volume nothing can be dosed: fill in the tank’s sheet first.</Small>}
        {canAsk && <DoubtList doubts={doubts} />}
        {unkept && <UnkeptNote unkept={unkept} />}
        {canAsk && (
          <Line $gap={16}>
            <PrimaryButton isDisabled={busy || !canBegin} onPress={() => void begin()}>
              Begin at {tank.name}
            </PrimaryButton>
          </Line>
        )}
        <Small>{sourceWords(procedure.source)}</Small>
      </Stack>
    </section>
  )
}
