import { useEffect, useId, useMemo, useState } from 'react'
import { Link } from 'react-aria-components'
import { useNavigate, useParams, useSearchParams } from 'react-router'
import { styled } from 'styled-components'
import {
  CALCULATORS,
  calculatorWith,
  computed,
  fieldsShown,
  type Calculator,
  type Fault,
  type Field,
  type KnownProduct,
  type Values,
} from '../../../core/calculators/calculators.ts'
import { shelfOf } from '../../../core/household/shelf.ts'
import { tankById, tanksOf } from '../../../core/household/tanks.ts'
import { figureShown, figureTyped } from '../../fields/figure-text.ts'
import { FIGURE_LETTERS, described, FieldShell, inputShape } from '../../fields/shell.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { FieldGrid, Page } from '../../look/page.ts'
import { Quiet, Small, Stack, Title } from '../../look/text.ts'
import { useIsPhone } from '../../look/useWidth.ts'
import { measureText, shownFigure } from '../../../core/words/measure.ts'
import { paramsOf, tankOf, valuesOf } from './address.ts'
import { AnswerLead, AnswerRest } from './AnswerView.tsx'
import { DoseLog } from './DoseLog.tsx'

const Layout = styled.div`
  display: grid;
  grid-template-columns: 216px minmax(0, 1fr) minmax(300px, 0.85fr);
  gap: 32px;
  align-items: start;
  @media (max-width: 899px) {
    grid-template-columns: minmax(0, 1fr);
    gap: 20px;
  }
`

const List = styled.nav`
  h2 {
    margin-top: 14px;
    font-size: 14px;
    color: var(--quiet);
    font-weight: 600;
  }
  h2:first-child {
    margin-top: 0;
  }
`

const Choice = styled(Link)`
  display: flex;
  align-items: center;
  min-height: 36px;
  color: var(--ink);
  text-decoration: none;
  line-height: 1.25;
  &[data-hovered] {
    color: var(--second);
  }
  &[aria-current='page'] {
    font-weight: 700;
    color: var(--second);
  }
`

const Select = styled.select`
  ${inputShape}
`

const Input = styled.input`
  ${inputShape}
  font-family: var(--mono);
  font-size: 18px;
`

const Beside = styled.div`
  display: flex;
  align-items: center;
  gap: 9px;
  & > span {
    color: var(--quiet);
    font-size: 14px;
    line-height: 1.2;
  }
`

const AnswerRoom = styled.div`
  position: sticky;
  top: 16px;
  border-left: 1px solid var(--strong-rule);
  padding-left: 28px;
  min-height: 220px;
`

/** A list whose choices are longer than this, in letters, takes the whole row: a clipped choice reads as another. */
const LONG_LABEL = 22

const Cell = styled.div<{ $wide: boolean }>`
  ${({ $wide }) => $wide && 'grid-column: 1 / -1;'}
`

/** On the phone the number stays in view while the fields are typed. */
const PhoneLead = styled.div`
  position: sticky;
  top: 0;
  z-index: 3;
  margin: 0 -16px;
  padding: 8px 16px 10px;
  min-height: 104px;
  background: var(--sheet);
  border-top: 1.5px solid var(--ink);
  border-bottom: 1.5px solid var(--ink);
`

const Waiting = styled.p`
  color: var(--quiet);
`

/** Every calculation of the job on its own: nothing has to be set up before. */
export function Dose() {
  const { calculator: id } = useParams()
  const [params] = useSearchParams()
  // A link that names fields alone opens what has them.
  const [byFields] = useState(() => calculatorWith(valuesOf(params)))
  const calculator = CALCULATORS.find((one) => one.id === id) ?? byFields
  return <DoseBody key={calculator.id} calculator={calculator} />
}

const ADDRESS_AFTER_MS = 300

/** Products of the shelf as a calculator needs them. */
function useProducts(): KnownProduct[] {
  const { journal, revision } = useHousehold()
  return useMemo(
    () =>
      shelfOf(journal).map(({ id, name, ingredient, strength, measure }) => ({
        id,
        name,
        ingredient,
        strength,
        ...(measure && { step: measure.step }),
      })),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the revision says when the journal has grown
    [journal, revision],
  )
}

function DoseBody({ calculator }: { calculator: Calculator }) {
  const { journal, settings } = useHousehold()
  const { units } = settings
  const [params, setParams] = useSearchParams()
  const products = useProducts()
  const isPhone = useIsPhone()
  const fromTank = (picked: string): Values => {
    const netL = tankById(journal, picked)?.volume?.netL
    return {
      ...calculator.fromTank?.(journal, picked),
      ...(netL !== undefined && { volumeL: shownFigure(netL, 'L', units, 5) }),
    }
  }
  const [values, setValues] = useState<Values>(() => {
    const picked = tankOf(params)
    return { ...(picked === null ? {} : fromTank(picked)), ...valuesOf(params) }
  })
  const [tankId, setTankId] = useState(() => tankOf(params))
  const [touched, setTouched] = useState<ReadonlySet<string>>(() => new Set(Object.keys(valuesOf(params))))
  const tank = tankId === null ? null : tankById(journal, tankId)
  const fields = fieldsShown(calculator, values, products, units)
  const result = computed(calculator, values, products, units)
  const faults = 'faults' in result ? result.faults : {}
  const change = (fieldId: string, value: string) => {
    const next = { ...values, [fieldId]: value }
    setValues(next)
    setTouched(new Set([...touched, fieldId]))
  }
  const pickTank = (picked: string) => {
    const chosen = picked === '' ? null : picked
    const told = Object.entries(chosen === null ? {} : fromTank(chosen))
    // Its volume is what it is picked for; what else was typed stays.
    setTankId(chosen)
    setValues({
      ...values,
      ...Object.fromEntries(told.filter(([field]) => field === 'volumeL' || !touched.has(field))),
    })
  }
  // The address follows once the keys rest: a navigation with each would hold up the number.
  useEffect(() => {
    if (touched.size === 0 && tankId === null) return
    const { pathname } = window.location
    const timer = setTimeout(() => {
      // A link may have been followed meanwhile, its screen still on the way.
      if (window.location.pathname === pathname) setParams(paramsOf(values, tankId), { replace: true })
    }, ADDRESS_AFTER_MS)
    return () => clearTimeout(timer)
  }, [values, tankId, touched, setParams])
  const productId = values['product'] ?? fields.find((field) => field.id === 'product')?.start
  const lead = 'answer' in result ? <AnswerLead answer={result.answer} /> : <Waiting>fill in the fields</Waiting>
  const rest = 'answer' in result && (
    <Stack $gap={16}>
      <AnswerRest answer={result.answer} />
      <DoseLog
        key={JSON.stringify(result.answer.log) + String(tankId)}
        answer={result.answer}
        tank={tank}
        productId={productId}
      />
    </Stack>
  )
  return (
    <Page>
      <Layout>
        {isPhone ? (
          <>
            <CalculatorPick calculator={calculator} />
            <PhoneLead>{lead}</PhoneLead>
          </>
        ) : (
          <CalculatorList calculator={calculator} />
        )}
        <Stack $gap={18}>
          <div>
            <Title>{calculator.title}</Title>
            <Quiet>{calculator.about}</Quiet>
          </div>
          <FieldGrid>
            {fields.some((field) => field.id === 'volumeL') && (
              <Cell $wide>
                <TankPick tankId={tankId} onPick={pickTank} />
              </Cell>
            )}
            {fields.map((field) => (
              <Cell key={field.id} $wide={field.choices?.some(({ label }) => label.length > LONG_LABEL) ?? false}>
                <FieldInput
                  field={field}
                  value={values[field.id] ?? field.start ?? ''}
                  fault={touched.has(field.id) ? faults[field.id] : undefined}
                  onChange={(value) => change(field.id, value)}
                />
              </Cell>
            ))}
          </FieldGrid>
          {isPhone && rest}
          <Small>The address of this page keeps what is typed: a link to it opens the same again.</Small>
        </Stack>
        {!isPhone && (
          <AnswerRoom>
            <Stack $gap={14}>
              {lead}
              {rest}
            </Stack>
          </AnswerRoom>
        )}
      </Layout>
    </Page>
  )
}

const GROUPS = [...new Set(CALCULATORS.map(({ group }) => group))]

function CalculatorList({ calculator }: { calculator: Calculator }) {
  return (
    <List aria-label="Calculators">
      {GROUPS.map((group) => (
        <div key={group}>
          <h2>{group}</h2>
          {CALCULATORS.filter((one) => one.group === group).map(({ id, title }) => (
            <Choice key={id} href={`/dose/${id}`} aria-current={id === calculator.id ? 'page' : undefined}>
              {title}
            </Choice>
          ))}
        </div>
      ))}
    </List>
  )
}

function CalculatorPick({ calculator }: { calculator: Calculator }) {
  const id = useId()
  const navigate = useNavigate()
  return (
    <FieldShell id={id} label="What do you want to know?">
      <Select id={id} value={calculator.id} onChange={(event) => void navigate(`/dose/${event.target.value}`)}>
        {GROUPS.map((group) => (
          <optgroup key={group} label={group}>
            {CALCULATORS.filter((one) => one.group === group).map(({ id: value, title }) => (
              <option key={value} value={value}>
                {title}
              </option>
            ))}
          </optgroup>
        ))}
      </Select>
    </FieldShell>
  )
}

function TankPick({ tankId, onPick }: { tankId: string | null; onPick: (tankId: string) => void }) {
  const { journal, settings } = useHousehold()
  const id = useId()
  return (
    <FieldShell id={id} label="Tank">
      <Select id={id} value={tankId ?? ''} onChange={(event) => onPick(event.target.value)}>
        <option value="">none, type the volume</option>
        {tanksOf(journal).map(({ id: value, name, volume }) => (
          <option key={value} value={value}>
            {name}
            {volume ? `, ${measureText(volume.netL, 'L', settings.units, 3)}` : ''}
          </option>
        ))}
      </Select>
    </FieldShell>
  )
}

function FieldInput({
  field,
  value,
  fault,
  onChange,
}: {
  field: Field
  value: string
  fault: Fault | undefined
  onChange: (value: string) => void
}) {
  const id = useId()
  const shared = described(id, field.hint, fault)
  return (
    <FieldShell id={id} label={field.label} hint={field.hint} problem={fault} onPick={onChange}>
      {field.choices ? (
        <Select {...shared} value={value} onChange={(event) => onChange(event.target.value)}>
          {field.choices.map(({ value: one, label }) => (
            <option key={one} value={one}>
              {label}
            </option>
          ))}
        </Select>
      ) : (
        <Beside>
          <Input
            {...shared}
            value={figureShown(value)}
            maxLength={FIGURE_LETTERS}
            onChange={(event) => onChange(figureTyped(event.target.value))}
            inputMode="decimal"
            autoComplete="off"
          />
          {field.unit && <span>{field.unit}</span>}
        </Beside>
      )}
    </FieldShell>
  )
}
