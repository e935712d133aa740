import { memo } from 'react'
import { styled } from 'styled-components'
import { Heading, Small, Stack } from '../../look/text.ts'
import { LOOK_ALIKES, lookAlikesOf, type LookAlikeSet } from './drawings/look-alikes.tsx'

const Panels = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(120px, 1fr));
  gap: 12px;
  padding-top: 10px;
  figure {
    margin: 0;
  }
  svg {
    display: block;
    width: 100%;
    border: 1px solid var(--rule);
    background: var(--sheet);
  }
  figcaption {
    padding-top: 5px;
    font-size: 14px;
    line-height: 1.3;
  }
`

export function LookAlikeSetDrawn({ set }: { set: LookAlikeSet }) {
  return (
    <div>
      <strong>{set.title}</strong>
      <Panels>
        {set.panels.map(({ title, tells, drawing }) => (
          <figure key={title}>
            <svg viewBox="0 0 120 80" aria-hidden="true">
              {drawing}
            </svg>
            <figcaption>
              <strong>{title}</strong>: {tells}
            </figcaption>
          </figure>
        ))}
      </Panels>
    </div>
  )
}

/**
 * The drawings that tell what is shown apart; nothing where none does. Drawn again only where other conditions are shown.
 * @param conditions ids, joined by commas, the likeliest first
 */
export const LookAlikeDrawings = memo(function LookAlikeDrawings({ conditions }: { conditions: string }) {
  const sets = lookAlikesOf(conditions.split(','))
  if (sets.length === 0) return null
  return (
    <section>
      <Heading>Side by side</Heading>
      <Stack $gap={16} style={{ paddingTop: 12 }}>
        {sets.slice(0, 2).map((set) => (
          <LookAlikeSetDrawn key={set.id} set={set} />
        ))}
        <Small>Drawn for Brinvo, not to scale.</Small>
      </Stack>
    </section>
  )
})

/** Every set there is. */
export const AllLookAlikes = () => (
  <Stack $gap={22}>
    {LOOK_ALIKES.map((set) => (
      <LookAlikeSetDrawn key={set.id} set={set} />
    ))}
  </Stack>
)
