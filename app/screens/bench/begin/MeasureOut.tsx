import { countedUnit } from '../../../../core/bench/amounts.ts'
import type { BenchStart } from '../../../../core/bench/occasions.ts'
import type { ShelfProduct } from '../../../../core/household/shelf.ts'
import { ingredientById } from '../../../../core/catalogue/ingredient.ts'
import { measureText } from '../../../../core/words/measure.ts'
import { figures } from '../../../../core/words/numbers.ts'
import { FigureField } from '../../../fields/plain.tsx'
import { inputShape } from '../../../fields/shell.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { ButtonLink } from '../../../look/buttons.ts'
import { Bar, Figure, Line, Quiet, Small, Stack } from '../../../look/text.ts'
import { styled } from 'styled-components'

const Select = styled.select`
  ${inputShape}
`

/** Which product, and how much of it the tub's or the tank's water takes. */
export function MeasureOut({
  needs,
  products,
  product,
  onProduct,
  label,
  onLabel,
  measured,
  litres,
}: {
  needs: { ingredient: string; byLabel: boolean; levelUnit: string }
  products: readonly ShelfProduct[]
  product: ShelfProduct | null
  onProduct: (id: string) => void
  /** The amount that its label says, as typed. */
  label: string
  onLabel: (text: string) => void
  measured: BenchStart['measuredOut'] | null
  litres: number | null
}) {
  const { settings } = useHousehold()
  const ingredient = ingredientById(needs.ingredient)
  const name = ingredient?.name ?? needs.ingredient
  const caution = [ingredient?.caution, ingredient?.law].filter((one) => one != null).join(' ')
  if (products.length === 0 && !needs.byLabel)
    return (
      <Stack $gap={8}>
        <Small>No {name} stands on the shelf: without its strength nothing can be measured out.</Small>
        <Line>
          <ButtonLink href="/shelf">Put it on the shelf</ButtonLink>
        </Line>
      </Stack>
    )
  return (
    <Stack $gap={12}>
      {caution !== '' && <Bar $tone="soon">{caution} Follow the label.</Bar>}
      {products.length > 0 && (
        <label style={{ display: 'grid', gap: 5, maxWidth: 420, fontWeight: 600, fontSize: 14.5 }}>
          Product
          <Select value={product?.id ?? ''} onChange={(event) => onProduct(event.target.value)}>
            {products.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </Select>
        </label>
      )}
      {needs.byLabel && (
        <FigureField label={`${name}: by its label`} after={product?.unit ?? 'mL'} value={label} onChange={onLabel} />
      )}
      {measured && litres !== null && (
        <p>
          <Figure $size={34}>
            {figures(measured.amount, 4)} {countedUnit(measured.unit, measured.amount)}
          </Figure>{' '}
          <Quiet>
            {measured.massMg === undefined
              ? `in ${measureText(litres, 'L', settings.units, 3)}, by its label`
              : `→ ${figures(measured.massMg / litres, 3)} ${needs.levelUnit} in ${measureText(litres, 'L', settings.units, 3)}`}
          </Quiet>
        </p>
      )}
    </Stack>
  )
}
