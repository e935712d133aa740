import { useState } from 'react'
import { Form } from 'react-aria-components'
import { useForm } from 'react-hook-form'
import { PARAMETERS, parameterById } from '../../../core/catalogue/parameter.ts'
import { kitsOf, type Kit, type Tank } from '../../../core/household/tanks.ts'
import { CheckField, SelectField, TextField } from '../../fields/fields.tsx'
import type { Problem, Problems } from '../../fields/shell.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { newId } from '../../journal/opened.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, PlainButton, PrimaryButton } from '../../look/buttons.ts'
import { Heading, Line, Quiet, Rows, Small, Stack } from '../../look/text.ts'
import { figures } from '../../../core/words/numbers.ts'

/** Units that kits of a parameter print. */
const PRINTS: Readonly<Record<string, readonly { value: NonNullable<Kit['prints']>; label: string }[]>> = {
  'alk-kh': [
    { value: 'dKH', label: 'dKH' },
    { value: 'meq', label: 'meq/L' },
    { value: 'ppm', label: 'ppm CaCO3' },
  ],
  temp: [
    { value: 'C', label: '°C' },
    { value: 'F', label: '°F' },
  ],
}

/** How sure a kit is, in its parameter's unit. */
function sureness({ parameter, uncertainty }: Kit): string {
  const { unit = '' } = parameterById(parameter) ?? {}
  const parts = [
    uncertainty.abs > 0 && `± ${figures(uncertainty.abs)} ${unit}`,
    uncertainty.rel && `± ${figures(uncertainty.rel * 100)} %`,
  ].filter(Boolean)
  return parts.join(' ') || 'exact'
}

/** The kits that test this tank: its own, whose vials never leave it, and those shared with others. */
export function KitList({ tank }: { tank: Tank }) {
  const { journal } = useHousehold()
  const [editing, setEditing] = useState<string | null>(null)
  const kits = kitsOf(journal).filter(({ tankId }) => tankId === undefined || tankId === tank.id)
  const done = () => setEditing(null)
  return (
    <section>
      <Heading>Kits and meters</Heading>
      <Rows>
        {kits.map((kit) =>
          editing === kit.id ? (
            <li key={kit.id}>
              <KitForm tank={tank} kit={kit} onDone={done} />
            </li>
          ) : (
            <li key={kit.id}>
              <div style={{ display: 'flex', justifyContent: 'space-between', gap: 12 }}>
                <span>
                  {kit.name}
                  <br />
                  <Quiet>
                    {parameterById(kit.parameter)?.name ?? kit.parameter} {sureness(kit)}
                    {kit.basis && `, as ${kit.basis}`}
                    {kit.prints && `, in ${kit.prints}`}; {kit.tankId ? 'belongs to this tank' : 'shared'}
                  </Quiet>
                </span>
                <PlainButton onPress={() => setEditing(kit.id)} aria-label={`Change ${kit.name}`}>
                  change
                </PlainButton>
              </div>
            </li>
          ),
        )}
      </Rows>
      {kits.length === 0 && (
        <Small style={{ paddingTop: 10 }}>None on record: readings take a typical kit’s uncertainty.</Small>
      )}
      <div style={{ paddingTop: 12 }}>
        {editing === 'new' ? (
          <KitForm tank={tank} kit={null} onDone={done} />
        ) : (
          <Button onPress={() => setEditing('new')}>Add a kit</Button>
        )}
      </div>
    </section>
  )
}

interface Values {
  name: string
  parameter: string
  abs: string
  rel: string
  basis: string
  prints: string
  own: boolean
}

function KitForm({ tank, kit, onDone }: { tank: Tank; kit: Kit | null; onDone: () => void }) {
  const { keep, busy, unkept } = useKeeping()
  const [problems, setProblems] = useState<Problems>({})
  const form = useForm<Values>({
    defaultValues: {
      name: kit?.name ?? '',
      parameter: kit?.parameter ?? 'copper',
      abs: kit ? String(kit.uncertainty.abs) : '',
      rel: kit?.uncertainty.rel ? String(kit.uncertainty.rel * 100) : '',
      basis: kit?.basis ?? '',
      prints: kit?.prints ?? '',
      own: kit ? kit.tankId !== undefined : false,
    },
  })
  const parameter = parameterById(form.watch('parameter'))!
  const bases = parameter.bases?.map(({ id }) => id) ?? []
  // Which of them a kit that says nothing states: the ion, or for total ammonia the first.
  const usualBasis = parameter.kept ?? bases[0] ?? ''
  const prints = PRINTS[parameter.id] ?? []
  const send = form.handleSubmit(async (values) => {
    const found: Record<string, Problem | undefined> = {}
    const abs = values.abs.trim() === '' ? 0 : Number(values.abs)
    const rel = values.rel.trim() === '' ? 0 : Number(values.rel)
    if (values.name.trim() === '') found['name'] = { message: 'what you call it' }
    if (!(abs >= 0)) found['abs'] = { message: `a number of ${parameter.unit}, 0 or more` }
    if (!(rel >= 0 && rel <= 100)) found['rel'] = { message: 'a share of the value, 0 to 100 %' }
    setProblems(found)
    if (Object.values(found).some(Boolean)) return
    const happened = new Date().toISOString()
    const basis = bases.some((id) => id === values.basis) ? values.basis : usualBasis
    const properties = {
      name: values.name.trim(),
      parameter: values.parameter,
      uncertainty: { abs, ...(rel > 0 && { rel: rel / 100 }) },
      ...(basis !== '' && basis !== parameter.kept && { basis: basis as NonNullable<Kit['basis']> }),
      ...(prints.some(({ value }) => value === values.prints) && {
        prints: values.prints as NonNullable<Kit['prints']>,
      }),
      ...(values.own && { tankId: tank.id }),
    }
    // A kit that is shared again cannot be said by leaving its tank out of a change: it is set up again under its id.
    if (await keep([{ kind: 'kit-setup', happened, kitId: kit?.id ?? newId(), ...properties }])) onDone()
  })
  const retire = async () => {
    if (
      kit &&
      (await keep([
        { kind: 'kit-change', happened: new Date().toISOString(), kitId: kit.id, changes: { retired: true } },
      ]))
    )
      onDone()
  }
  const { control } = form
  return (
    <Form onSubmit={(event) => void send(event)}>
      <Stack $gap={12}>
        <TextField control={control} name="name" label="Kit or meter" problem={problems['name']} autoFocus />
        <SelectField
          control={control}
          name="parameter"
          label="Reads"
          options={PARAMETERS.map(({ id, name }) => ({ value: id, label: name }))}
        />
        <TextField
          control={control}
          name="abs"
          label="Uncertainty, plus or minus"
          after={parameter.unit}
          figure
          problem={problems['abs']}
          hint="by how much a value can be off, up or down, as the leaflet says"
        />
        <TextField
          control={control}
          name="rel"
          label="and a share of the value"
          after="%"
          figure
          problem={problems['rel']}
        />
        {bases.length > 0 && (
          <SelectField
            control={control}
            name="basis"
            label="States its value as"
            hint="as its leaflet says: the same water is 4.4 times as much in NO3 as in N"
            options={[usualBasis, ...bases.filter((id) => id !== usualBasis)].map((value, i) => ({
              value: i === 0 && form.watch('basis') === '' ? '' : value,
              label: value,
            }))}
          />
        )}
        {prints.length > 0 && (
          <SelectField
            control={control}
            name="prints"
            label="Prints"
            options={[{ value: '', label: 'the household’s unit' }, ...prints]}
          />
        )}
        <CheckField
          control={control}
          name="own"
          label={`Belongs to ${tank.name} alone: its vials touch no other water`}
        />
        {unkept && <UnkeptNote unkept={unkept} />}
        <Line>
          <PrimaryButton type="submit" isDisabled={busy}>
            Keep the kit
          </PrimaryButton>
          <PlainButton onPress={onDone}>cancel</PlainButton>
          {kit && <PlainButton onPress={() => void retire()}>no longer used</PlainButton>}
        </Line>
      </Stack>
    </Form>
  )
}
