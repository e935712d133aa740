import { materialsOf } from '../../../../core/catalogue/courses/materials.ts'
import { courseFrom } from '../../../../core/courses/course.ts'
import { shelfNeeds } from '../../../../core/courses/amounts/shelf-needs.ts'
import { tankById } from '../../../../core/household/tanks.ts'
import type { ContentOf } from '../../../../core/journal/entry.ts'
import { shownUnit, toKept } from '../../../../core/words/measure.ts'
import { figures } from '../../../../core/words/numbers.ts'
import { useHousehold } from '../../../journal/provider.tsx'
import { Bar, Figure, Heading, Rows, Small } from '../../../look/text.ts'

/** What a course about to start needs from the shelf in all, against what is left there. */
export function ShelfNeeds({ start }: { start: ContentOf<'course-start'> }) {
  const { journal, settings } = useHousehold()
  const course = courseFrom(start, Date.parse(start.happened))
  const volumeL = course && tankById(journal, course.tankId)?.volume?.netL
  if (!course || volumeL == null) return null
  const tubL = course.tanks.tub === undefined ? null : (tankById(journal, course.tanks.tub)?.volume?.netL ?? null)
  const needs = shelfNeeds(journal, course, volumeL, tubL)
  const materials = materialsOf(course.definition.id)
  if (needs.length + materials.length === 0) return null
  return (
    <section>
      <Heading>{needs.length > 0 ? 'From the shelf, in all' : 'To have ready'}</Heading>
      <Rows>
        {needs.map(({ product, needed, perLitre, enough }) => (
          <li key={product.id}>
            {product.name}{' '}
            <Figure $size={18}>
              {needed !== null
                ? `about ${figures(needed, 2)} ${product.unit}`
                : `${figures((perLitre ?? 0) * toKept(1, 'L', settings.units), 3)} ${product.unit} in each ${shownUnit('L', settings.units)} of a bath`}
            </Figure>{' '}
            <Small>
              {product.left === null ? 'what is left was not counted' : `${figures(product.left)} ${product.unit} left`}
            </Small>
            {enough === false && <Bar $tone="act">Too little for the whole course.</Bar>}
          </li>
        ))}
      </Rows>
      {materials.length > 0 && (
        <Small style={{ paddingTop: 8 }}>
          {needs.length > 0 ? 'To have ready: ' : ''}
          {materials.join(', ')}.
        </Small>
      )}
    </section>
  )
}
