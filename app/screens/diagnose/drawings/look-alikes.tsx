import type { ReactNode } from 'react'
import { FishShape } from './fish.tsx'
import { Anemone, Branch, Ground, Leather, Tufts } from './growth.tsx'
import { GROWTH, ink, strewn, thin, wrong } from './strokes.ts'

interface Panel {
  /** Condition of a sign table that it shows; undefined for what is harmless. */
  of?: string
  title: string
  tells: string
  drawing: ReactNode
}

/** Things that are taken for one another, drawn side by side. */
export interface LookAlikeSet {
  id: string
  title: string
  panels: readonly Panel[]
}

const inBody = (count: number, seed: number) =>
  strewn(count, seed).map(({ x, y, size }) => ({ x: 24 + 66 * x, y: 26 + 30 * y, size }))

/** The look-alikes of the handbook that a drawing tells apart better than words. */
export const LOOK_ALIKES: readonly LookAlikeSet[] = [
  {
    id: 'grains-dust',
    title: 'Countable grains, or fine dust',
    panels: [
      {
        of: 'marine-ich',
        title: 'Grains',
        tells: 'few enough to count, raised, first on the fins; they fade and come back',
        drawing: (
          <FishShape>
            {[...inBody(13, 3), { x: 60, y: 14, size: 1 }, { x: 70, y: 18, size: 1 }].map(({ x, y }, i) => (
              <circle key={i} cx={x} cy={y} r="1.9" {...wrong} fill="var(--sheet)" strokeWidth={1.4} />
            ))}
          </FishShape>
        ),
      },
      {
        of: 'marine-velvet',
        title: 'Dust',
        tells: 'like flour, not to be counted, seen by side light; breathing fails before it shows',
        drawing: (
          <FishShape>
            {inBody(210, 8).map(({ x, y }, i) => (
              <circle key={i} cx={x} cy={y} r="0.62" fill="var(--act)" />
            ))}
          </FishShape>
        ),
      },
    ],
  },
  {
    id: 'slime-fluke',
    title: 'Slime, or the haze of flukes',
    panels: [
      {
        of: 'brooklynella',
        title: 'Slime',
        tells: 'grey patches that hang off in strips, within hours',
        drawing: (
          <FishShape>
            <path
              d="M44 30 C56 24 70 30 66 42 C58 50 44 44 44 30 Z M60 46 C70 42 80 46 78 52 C72 58 62 54 60 46 Z"
              fill="var(--quiet)"
              opacity="0.55"
            />
            <path d="M56 46 C54 58 60 62 57 72 M72 54 C70 62 76 66 72 74" {...wrong} />
          </FishShape>
        ),
      },
      {
        of: 'skin-flukes',
        title: 'Flukes',
        tells: 'both eyes hazy, dull patches; flecks drop off in a freshwater dip',
        drawing: (
          <FishShape>
            <circle cx="27" cy="36" r="5" fill="var(--quiet)" opacity="0.8" />
            {[
              [52, 34],
              [66, 40],
              [58, 50],
              [76, 36],
            ].map(([x, y]) => (
              <ellipse key={`${x}-${y}`} cx={x} cy={y} rx="4" ry="2.6" {...wrong} strokeWidth={1.2} />
            ))}
          </FishShape>
        ),
      },
    ],
  },
  {
    id: 'brown-films',
    title: 'Dust of diatoms, sheet of cyanobacteria, strings of dinoflagellates',
    panels: [
      {
        of: 'diatoms',
        title: 'Dust',
        tells: 'even and brown, wipes off as a cloud; there by night as well',
        drawing: (
          <>
            <Ground fill="var(--sand)" />
            {strewn(420, 2).map(({ x, y }, i) => (
              <circle key={i} cx={120 * x} cy={80 * y} r="0.9" fill={GROWTH.brown} />
            ))}
          </>
        ),
      },
      {
        of: 'cyano-marine',
        title: 'Sheet',
        tells: 'a slimy felt that lifts in rags, often red; smells earthy',
        drawing: (
          <>
            <Ground fill="var(--sand)" />
            <path d="M4 60 C14 20 50 12 72 20 C96 12 116 34 114 62 C92 74 30 76 4 60 Z" fill={GROWTH.maroon} />
            <path
              d="M72 20 C80 10 96 8 104 16 C98 22 92 22 86 26 Z"
              fill={GROWTH.maroon}
              stroke="var(--ink)"
              strokeWidth="1.2"
            />
            {strewn(10, 6).map(({ x, y }, i) => (
              <circle
                key={i}
                cx={20 + 80 * x}
                cy={28 + 34 * y}
                r="2"
                fill="none"
                stroke="var(--sheet)"
                strokeWidth="1.2"
              />
            ))}
          </>
        ),
      },
      {
        of: 'dino-ostreopsis',
        title: 'Strings',
        tells: 'snotty threads with a bubble at the tip; nearly gone at dawn',
        drawing: (
          <>
            <path d="M0 62 C30 52 90 54 120 62 L120 80 L0 80 Z" fill="var(--rock)" />
            {strewn(13, 11).map(({ x, y, size }, i) => {
              const left = 8 + 104 * x
              const top = 14 + 26 * y
              return (
                <g key={i}>
                  <path
                    d={`M${left} 62 C${left - 8} 48 ${left + 10} 36 ${left + 6 * (size - 0.5)} ${top}`}
                    stroke={GROWTH.gold}
                    strokeWidth="2"
                    fill="none"
                  />
                  <circle cx={left + 6 * (size - 0.5)} cy={top - 3} r="2.6" {...thin} fill="var(--sheet)" />
                </g>
              )
            })}
          </>
        ),
      },
    ],
  },
  {
    id: 'green-growth',
    title: 'Hair, turf, or ferns',
    panels: [
      {
        of: 'gha-marine',
        title: 'Hair',
        tells: 'soft, limp, pulls out in tufts',
        drawing: <Tufts colour={GROWTH.green} tall={46} width={1.4} seed={4} />,
      },
      {
        of: 'turf-algae',
        title: 'Turf',
        tells: 'a wiry mat that cannot be pulled off, traps dirt',
        drawing: <Tufts colour={GROWTH.maroon} tall={14} width={2.2} seed={7} />,
      },
      {
        of: 'bryopsis',
        title: 'Ferns',
        tells: 'fronds with a stem in the middle and branches in two rows',
        drawing: (
          <>
            <path d="M0 66 L120 66 L120 80 L0 80 Z" fill="var(--rock)" />
            {[22, 48, 74, 100].map((x, i) => (
              <g key={x} stroke={GROWTH.darkGreen} fill="none" strokeWidth="1.6">
                <path d={`M${x} 66 L${x + 4} ${18 + 6 * i}`} />
                {[0, 1, 2, 3, 4, 5].map((n) => (
                  <path
                    key={n}
                    d={`M${x + 0.6 * n} ${60 - 7 * n} l-9 -6 M${x + 0.6 * n} ${60 - 7 * n} l9 -5`}
                    strokeWidth="1.1"
                  />
                ))}
              </g>
            ))}
          </>
        ),
      },
    ],
  },
  {
    id: 'pest-anemones',
    title: 'The two pest anemones',
    panels: [
      {
        of: 'aiptasia',
        title: 'Glass anemone',
        tells: 'tall column, long pointed tentacles; snaps into its hole',
        drawing: <Anemone tips="pointed" tall={26} />,
      },
      {
        of: 'majano',
        title: 'Majano',
        tells: 'short and thick, rounded tips; shrinks only a little',
        drawing: <Anemone tips="bulb" tall={12} />,
      },
    ],
  },
  {
    id: 'gliders',
    title: 'Flatworm, nudibranch, or harmless snail',
    panels: [
      {
        of: 'red-flatworm',
        title: 'Flatworm',
        tells: 'flat, no shell, glides; tail with small lobes',
        drawing: (
          <>
            <path
              d="M14 44 C16 30 40 24 66 26 C84 28 96 34 100 37 C108 34 108 40 102 42 C112 42 112 47 102 47 C108 50 107 55 100 52 C92 57 82 60 66 61 C40 63 16 58 14 44 Z"
              {...ink}
              fill={GROWTH.maroon}
            />
            <path d="M24 44 C44 40 72 40 92 44" {...thin} stroke="var(--sheet)" />
          </>
        ),
      },
      {
        of: 'montipora-nudi',
        title: 'Nudibranch',
        tells: 'white frills along its back, crawls at night; coils of eggs',
        drawing: (
          <>
            <path d="M14 56 C30 48 84 46 106 56 C84 64 32 64 14 56 Z" {...ink} fill="var(--sheet)" />
            {[24, 36, 48, 60, 72, 84, 96].map((x) => (
              <path
                key={x}
                d={`M${x} 52 C${x - 6} 40 ${x} 28 ${x + 4} 26 C${x + 8} 34 ${x + 6} 46 ${x + 3} 52`}
                {...ink}
                strokeWidth={1.3}
                fill="var(--sheet)"
              />
            ))}
            <path d="M18 52 L10 40 M20 50 L16 38" {...ink} />
          </>
        ),
      },
      {
        title: 'Harmless grazer snail',
        tells: 'a coiled shell and a foot; on the glass by day',
        drawing: (
          <>
            <path d="M20 62 C34 54 90 54 104 62 C90 68 34 68 20 62 Z" {...ink} fill="var(--sheet)" />
            <path d="M36 56 C30 26 76 14 88 36 C94 50 84 58 72 56 Z" {...ink} fill="var(--rock)" />
            <path d="M66 40 C58 34 50 42 58 48 C68 52 78 40 68 32 C56 26 44 38 50 50" {...thin} />
          </>
        ),
      },
    ],
  },
  {
    id: 'leathers',
    title: 'Shed skin, or rot',
    panels: [
      {
        of: 'leather-shed',
        title: 'Shedding',
        tells: 'waxy shine, a film that peels; firm, no smell: leave it alone',
        drawing: (
          <Leather>
            <path d="M26 38 C40 30 56 34 70 28 C80 24 92 30 96 38" {...thin} stroke="var(--second)" />
            <path d="M96 38 C106 44 104 56 112 60 M30 44 C22 50 24 58 16 62" {...ink} stroke="var(--second)" />
          </Leather>
        ),
      },
      {
        of: 'leather-decay',
        title: 'Rot',
        tells: 'soft dark spots and holes, stalk folds, smells: cut',
        drawing: (
          <Leather>
            <path
              d="M40 38 a7 5 0 1 0 14 0 a7 5 0 1 0 -14 0 M70 34 a6 5 0 1 0 12 0 a6 5 0 1 0 -12 0 M54 62 a5 6 0 1 0 10 0 a5 6 0 1 0 -10 0"
              fill="var(--act)"
            />
          </Leather>
        ),
      },
    ],
  },
  {
    id: 'pale-corals',
    title: 'Bleached, lost from the base, or burnt at the tips',
    panels: [
      {
        of: 'bleach-light',
        title: 'Bleached',
        tells: 'pale and see-through, but the tissue and its polyps are there',
        drawing: <Branch top={GROWTH.skeleton} bottom="var(--sheet)" />,
      },
      {
        of: 'stn',
        title: 'From the base',
        tells: 'bare white skeleton creeps up from base or shade',
        drawing: (
          <>
            <Branch top={GROWTH.tissue} bottom={GROWTH.tissue} />
            <path d="M45 60 L56 58 L60 74 L52 74 Z M60 56 L71 56 L70 74 L60 74 Z" {...thin} fill={GROWTH.skeleton} />
            <path d="M43 60 L57 57 M60 56 L71 56" {...wrong} />
          </>
        ),
      },
      {
        of: 'alk-swing',
        title: 'At the tips',
        tells: 'only the growing tips are white or bare: look at the alkalinity log',
        drawing: (
          <>
            <Branch top={GROWTH.skeleton} bottom={GROWTH.tissue} />
            <path d="M30 34 L43 31 M58 26 L71 26" {...wrong} />
          </>
        ),
      },
    ],
  },
]

/** The sets that show any two of some conditions, or the first of them. */
export const lookAlikesOf = (conditions: readonly string[]): LookAlikeSet[] =>
  LOOK_ALIKES.filter(({ panels }) => {
    const shown = panels.filter(({ of }) => of !== undefined && conditions.includes(of))
    return shown.length > 1 || (conditions[0] !== undefined && panels.some(({ of }) => of === conditions[0]))
  })
