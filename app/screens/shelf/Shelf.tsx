import { Link } from 'react-aria-components'
import { styled } from 'styled-components'
import { ingredientById } from '../../../core/catalogue/ingredient.ts'
import { recountedDoses } from '../../../core/household/recounted.ts'
import { shelfOf, type ShelfProduct } from '../../../core/household/shelf.ts'
import { dayFromText } from '../../../core/time/zone.ts'
import { useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { ButtonLink } from '../../look/buttons.ts'
import { Page, PageHead } from '../../look/page.ts'
import { Bar, Figure, Heading, Quiet, Rows, Small, Stack, Title } from '../../look/text.ts'
import { dayAs } from '../../../core/time/words.ts'
import { capital, figures } from '../../../core/words/numbers.ts'
import { GROUPS, groupOf, strengthText } from './names.ts'

const SOON_DAYS = 60

const ProductLine = styled(Link)`
  display: grid;
  grid-template-columns: minmax(0, 2.2fr) minmax(0, 1.6fr) 110px 150px;
  gap: 2px 20px;
  align-items: baseline;
  min-height: 44px;
  padding: 8px 0;
  color: var(--ink);
  text-decoration: none;
  &[data-hovered] strong {
    text-decoration: underline;
  }
  @media (max-width: 759px) {
    grid-template-columns: 1fr auto;
    & > :nth-child(2) {
      grid-column: 1 / -1;
      grid-row: 2;
    }
  }
`

const Tone = styled.span<{ $tone: 'act' | 'soon' | 'quiet' }>`
  color: var(--${({ $tone }) => $tone});
  ${({ $tone }) => $tone !== 'quiet' && 'font-weight: 650;'}
`

export function Shelf() {
  const { journal } = useHousehold()
  const shelf = shelfOf(journal)
  return (
    <Page>
      <PageHead>
        <Title>Shelf</Title>
        <ButtonLink href="/shelf/new">Put a product on the shelf</ButtonLink>
      </PageHead>
      {shelf.length === 0 && (
        <Small>
          Products stand here by their active ingredient and strength, with what they are measured with: then a dose can
          be said in millilitres, grams or drops.
        </Small>
      )}
      <RecountedNote />
      <Stack $gap={26}>
        {GROUPS.map((group) => {
          const products = shelf.filter(({ ingredient }) => groupOf(ingredient) === group)
          return (
            products.length > 0 && (
              <section key={group}>
                <Heading>{group}</Heading>
                <Rows>
                  {products.map((product) => (
                    <li key={product.id} style={{ padding: 0 }}>
                      <ProductRow product={product} />
                    </li>
                  ))}
                </Rows>
              </section>
            )
          )
        })}
      </Stack>
    </Page>
  )
}

/** Which older doses count otherwise since a salt counts by its formula. */
function RecountedNote() {
  const { journal, settings } = useHousehold()
  return recountedDoses(journal).map(({ ingredient, name, of, share, doses, since, keptMg, countedMg }) => (
    <Bar key={ingredient} $tone="second">
      {capital(name)} counts by its {of}: {figures(share * 100, 3)} % of the pure salt. {doses}{' '}
      {doses === 1 ? 'dose' : 'doses'} since {dayAs(settings.clock.dayOf(since), 'd MMM yyyy')} counted as{' '}
      {figures(keptMg / 1000, 3)} g of {of}, and count as {figures(countedMg / 1000, 3)} g now: what the tank takes up
      and the forecasts follow. The entries stay as you wrote them.
    </Bar>
  ))
}

function ProductRow({ product }: { product: ShelfProduct }) {
  const ingredient = ingredientById(product.ingredient)
  return (
    <ProductLine href={`/shelf/${product.id}`}>
      <span>
        <strong>{product.name}</strong> <Quiet>{ingredient?.name ?? product.ingredient}</Quiet>
      </span>
      <Quiet>
        {strengthText(product.ingredient, product.strength)}
        {product.measure && `; ${product.measure.tool}, steps of ${figures(product.measure.step)} ${product.unit}`}
      </Quiet>
      <Figure>{product.left === null ? 'not counted' : `${figures(product.left)} ${product.unit}`}</Figure>
      <UseBy product={product} />
    </ProductLine>
  )
}

/** Until when it can be used: said when it is near or past. */
export function UseBy({ product }: { product: ShelfProduct }) {
  const { settings } = useHousehold()
  const today = settings.clock.dayOf(useNow())
  const last = product.useBy === null ? null : dayFromText(product.useBy)
  if (last === null) return <Tone $tone="quiet">no use-by</Tone>
  const left = last - today
  if (left < 0) return <Tone $tone="act">past its date, {dayAs(last, 'd MMM yyyy')}</Tone>
  if (left <= SOON_DAYS) return <Tone $tone="soon">use by {dayAs(last, 'd MMM yyyy')}</Tone>
  return <Tone $tone="quiet">use by {dayAs(last, 'MMM yyyy')}</Tone>
}
