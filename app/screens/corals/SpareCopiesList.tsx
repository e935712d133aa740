import { spareCopies } from '../../../core/household/corals.ts'
import { plural } from '../../../core/words/numbers.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { Heading, Quiet, Rows, Small } from '../../look/text.ts'

/** Which corals have only one piece, and where the others of each are. */
export function SpareCopiesList() {
  const { journal } = useHousehold()
  const corals = spareCopies(journal)
  return (
    <section>
      <Heading>Spare copies</Heading>
      {corals.length === 0 && <Small style={{ paddingTop: 10 }}>No coral is named yet.</Small>}
      <Rows>
        {corals.map(({ name, pieces, where, elsewhere, isOnly, wasLost }) => (
          <li key={name}>
            <strong>{name}</strong>{' '}
            {isOnly ? (
              <span style={{ color: 'var(--act)', fontWeight: 600 }}>only one piece</span>
            ) : (
              <Quiet>{pieces === 0 ? 'none left' : plural(pieces, 'piece')}</Quiet>
            )}
            <br />
            <Quiet>
              {[
                ...where.map((one) => `${one.tank} ${one.pieces}`),
                ...(elsewhere ? [`also with ${elsewhere}`] : []),
                ...(wasLost ? ['lost in another place'] : []),
              ].join(', ')}
            </Quiet>
            {isOnly && <Small>A frag to a steadier tank, or to a neighbour, before anything is risked.</Small>}
          </li>
        ))}
      </Rows>
    </section>
  )
}
