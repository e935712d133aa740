import { useEffect, useState } from 'react'
import { Form } from 'react-aria-components'
import { useForm } from 'react-hook-form'
import { styled } from 'styled-components'
import { useNavigate, useParams, useSearchParams } from 'react-router'
import { ingredientById } from '../../../core/catalogue/ingredient.ts'
import { amountUnit, mgPerUnit } from '../../../core/dosing/product.ts'
import type { Product } from '../../../core/dosing/product.schema.ts'
import { capital } from '../../../core/words/numbers.ts'
import { productById, shelfOf, type ShelfProduct } from '../../../core/household/shelf.ts'
import { CheckField, SelectField, TextField } from '../../fields/fields.tsx'
import type { Problems } from '../../fields/shell.tsx'
import { shownUnit } from '../../../core/words/measure.ts'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { newId } from '../../journal/opened.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { ButtonLink, PlainButton, PrimaryButton } from '../../look/buttons.ts'
import { HandbookLink } from '../../look/HandbookLink.tsx'
import { FieldGrid, Narrow, Page } from '../../look/page.ts'
import { Bar, Figure, Heading, Line, Small, Stack, Title } from '../../look/text.ts'
import { INGREDIENT_OPTIONS } from './names.ts'
import {
  FORMS,
  productValues,
  readProduct,
  readStrength,
  strengthDoubt,
  strengthsFor,
  usualValues,
  type ProductValues,
} from '../../../core/dosing/product-form.ts'
import { unitInWater, usualInWater } from '../../../core/dosing/unit-in-water.ts'

/** A product of the shelf, new or known. */
export function ProductPage() {
  const { productId } = useParams()
  const { journal } = useHousehold()
  const product = productId === undefined ? null : productById(journal, productId)
  if (productId !== undefined && !product)
    return (
      <Page>
        <Stack>
          <Title>No such product</Title>
          <div>
            <ButtonLink href="/shelf">To the shelf</ButtonLink>
          </div>
        </Stack>
      </Page>
    )
  return <ProductForm key={productId ?? 'new'} product={product} />
}

/** What a unit of the product does to a round volume of water, beside what the handbook usually doses. */
function InWater({ ingredient, strength }: { ingredient: string; strength: Product }) {
  const { units } = useHousehold().settings
  const one = { mgPerUnit: mgPerUnit(strength), unit: amountUnit(strength) }
  const usual = usualInWater(ingredient, one, units)
  return (
    <p>
      <Figure $size={22}>{unitInWater(ingredient, one, units)}</Figure>
      {usual && (
        <>
          <br />
          {capital(usual)}
        </>
      )}
    </p>
  )
}

/** A list whose choices are sentences: on the phone it has the whole row. */
const Row = styled.div`
  @media (max-width: 759px) {
    grid-column: 1 / -1;
  }
`

function ProductForm({ product }: { product: ShelfProduct | null }) {
  const { journal, settings } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const navigate = useNavigate()
  const [problems, setProblems] = useState<Problems>({})
  const [params] = useSearchParams()
  // A link from a plan opens the form on what the plan needs.
  const wanted = ingredientById(params.get('ingredient') ?? '')?.id
  const form = useForm<ProductValues>({ defaultValues: productValues(product, wanted) })
  const { control } = form
  const values = form.watch()
  const ingredient = ingredientById(values.ingredient)
  const strength = readStrength(values, settings.units)
  const isOdd = 'strength' in strength && strengthDoubt(values, strength.strength) !== null
  const { setValue } = form
  const first = product?.ingredient ?? wanted
  useEffect(() => {
    // Another ingredient is sold in another form: the fields follow it as long as nothing is typed.
    if (values.ingredient === first || values.strength !== '') return
    const usual = usualValues(values.ingredient)
    setValue('form', usual.form)
    setValue('stated', usual.stated)
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the ingredient alone brings another form
  }, [values.ingredient])
  const back = () => void navigate('/shelf')
  const send = form.handleSubmit(async (typed) => {
    const read = readProduct(
      typed,
      shelfOf(journal)
        .filter(({ id }) => id !== product?.id)
        .map(({ name }) => name),
      settings.units,
    )
    setProblems('problems' in read ? read.problems : {})
    if (!('properties' in read)) return
    const happened = new Date().toISOString()
    const kept = await keep([
      product
        ? { kind: 'product-change', happened, productId: product.id, changes: read.properties }
        : { kind: 'product-setup', happened, productId: newId(), ...read.properties },
    ])
    if (kept) back()
  })
  const putAway = async () => {
    if (
      product &&
      (await keep([
        {
          kind: 'product-change',
          happened: new Date().toISOString(),
          productId: product.id,
          changes: { retired: true },
        },
      ]))
    )
      back()
  }
  const unit = FORMS.find(({ value }) => value === values.form)!.unit
  return (
    <Page>
      <Narrow>
        <Form onSubmit={(event) => void send(event)}>
          <Stack $gap={22}>
            <Title>{product ? product.name : 'Put a product on the shelf'}</Title>
            <FieldGrid>
              <TextField
                control={control}
                name="name"
                label="Your word for it"
                problem={problems['name']}
                autoFocus={!product}
                placeholder="copper bottle"
                hint="The log line finds it by this and by its ingredient."
              />
              <SelectField control={control} name="ingredient" label="Active ingredient" options={INGREDIENT_OPTIONS} />
            </FieldGrid>
            {(ingredient?.caution || ingredient?.law) && (
              <Bar $tone="soon">
                {ingredient.caution} {ingredient.law} The product’s label, local law and a licensed aquatic veterinarian
                come before Brinvo. <HandbookLink to={`agents#${ingredient.id}`}>handbook</HandbookLink>
              </Bar>
            )}
            <Stack $gap={14}>
              <Heading>Strength</Heading>
              <FieldGrid>
                <Row>
                  <SelectField control={control} name="form" label="It is a" options={FORMS} />
                </Row>
                <Row>
                  <SelectField
                    control={control}
                    name="stated"
                    label="The label states"
                    options={strengthsFor(values.ingredient, values.form)}
                  />
                </Row>
                {values.stated !== 'pure' && (
                  <TextField
                    control={control}
                    name="strength"
                    label={
                      strengthsFor(values.ingredient, values.form).find(({ value }) => value === values.stated)?.asks ??
                      'Strength'
                    }
                    figure
                    problem={problems['strength']}
                  />
                )}
                {values.stated === 'dose' && (
                  <TextField
                    control={control}
                    name="perAmount"
                    label="from so much of it"
                    after={unit}
                    figure
                    problem={problems['perAmount']}
                  />
                )}
                {values.stated === 'dose' && (
                  <TextField
                    control={control}
                    name="perLitres"
                    label="in so much water"
                    after={shownUnit('L', settings.units)}
                    figure
                    problem={problems['perLitres']}
                  />
                )}
                {values.form === 'drops' && (
                  <TextField
                    control={control}
                    name="dropsPerMl"
                    label="Drops in a mL"
                    figure
                    problem={problems['dropsPerMl']}
                    hint="20 is usual; count yours"
                  />
                )}
              </FieldGrid>
              {'strength' in strength && <InWater ingredient={values.ingredient} strength={strength.strength} />}
              {isOdd && <CheckField control={control} name="isSure" label="The label says so: this is the strength" />}
              <Small>
                Counted in {ingredient?.strengthOf ?? 'the active ingredient'}
                {ingredient?.amountIs === 'volume'
                  ? ': formalin is dosed by the volume of 37 % product, never as formaldehyde.'
                  : '.'}
              </Small>
            </Stack>
            <Stack $gap={14}>
              <Heading>Measuring and keeping</Heading>
              <FieldGrid>
                <TextField
                  control={control}
                  name="tool"
                  label="Measured with"
                  placeholder="5 mL syringe"
                  problem={problems['tool']}
                />
                <TextField
                  control={control}
                  name="step"
                  label="in steps of"
                  after={unit}
                  figure
                  problem={problems['step']}
                />
                <TextField
                  control={control}
                  name="left"
                  label="Left now"
                  after={unit}
                  figure
                  problem={problems['left']}
                  hint="Doses logged from here on are taken off."
                />
                <TextField control={control} name="useBy" label="Use by" type="date" problem={problems['useBy']} />
              </FieldGrid>
            </Stack>
            {unkept && <UnkeptNote unkept={unkept} />}
            <Line>
              <PrimaryButton type="submit" isDisabled={busy}>
                {product ? 'Keep the changes' : 'Put it on the shelf'}
              </PrimaryButton>
              <PlainButton onPress={back}>cancel</PlainButton>
              {product && <PlainButton onPress={() => void putAway()}>used up or thrown away</PlainButton>}
            </Line>
          </Stack>
        </Form>
      </Narrow>
    </Page>
  )
}
