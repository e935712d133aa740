import { Link } from 'react-aria-components'
import { styled } from 'styled-components'
import { residentsOf } from '../../../core/household/animals.ts'
import { animalGroupById } from '../../../core/catalogue/animal-group.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { Figure } from '../../look/text.ts'
import { animalName } from '../../words/entries.ts'
import { plural } from '../../words/numbers.ts'
import { quantityText, volume } from '../../words/quantities.ts'
import type { Journal } from '../../../core/journal/journal.ts'
import type { Tank } from '../../../core/household/tanks.ts'
import { expectedIn, type Column } from './columns.ts'

const Head = styled.div`
  height: 100%;
  padding: 10px 10px 8px;
  border-left: 1px solid var(--rule);
  overflow: hidden;
`

const Top = styled.div`
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 8px;
`

const Name = styled(Link)`
  font-size: 17px;
  font-weight: 700;
  color: var(--ink);
  text-decoration: none;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  &[data-hovered] {
    text-decoration: underline;
  }
`

const Who = styled.div`
  margin-top: 3px;
  font-size: 14px;
  line-height: 1.3;
  color: var(--quiet);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
`

const Fold = styled.button`
  width: 100%;
  height: 100%;
  padding: 10px 0;
  border: 0;
  border-left: 1px solid var(--rule);
  background: none;
  cursor: pointer;
  font-size: 14px;
  color: var(--quiet);
  writing-mode: vertical-rl;
  text-align: start;
  overflow: hidden;
  white-space: nowrap;
`

/** Who lives in a tank, corals counted together: "Plum, Saffron · 11 corals". */
export function whoLivesIn(journal: Journal, tank: Tank): string {
  const residents = residentsOf(journal, tank.id)
  const isCoral = (group: string) => animalGroupById(group)?.kind === 'coral'
  const names = residents.filter(({ group }) => !isCoral(group)).map(({ id }) => animalName(journal, id))
  const corals = residents.filter(({ group }) => isCoral(group))
  const coralCount = corals.reduce((sum, { count }) => sum + count, 0)
  // A tank of corals alone names them; beside fish they are a number.
  const coralWords =
    corals.length === 0
      ? []
      : names.length === 0
        ? [corals.map(({ id }) => animalName(journal, id)).join(', ')]
        : [plural(coralCount, 'coral')]
  return [names.join(', '), ...coralWords].filter(Boolean).join(' · ')
}

/** The head of a tank's column: its name, net volume and who lives there. */
export function ColumnHead({ column: { tank, folded }, onUnfold }: { column: Column; onUnfold: () => void }) {
  const { journal, settings } = useHousehold()
  const expected = expectedIn(journal, tank.id)[0]
  if (folded)
    return (
      <Fold type="button" onClick={onUnfold} aria-label={`Unfold ${tank.name}, empty`}>
        {tank.name}
      </Fold>
    )
  return (
    <Head>
      <Top>
        <Name href={`/tanks/${tank.id}`}>{tank.name}</Name>
        <Figure $size={14}>
          {tank.volume ? `${quantityText(volume(tank.volume.netL, settings.units))} net` : 'volume?'}
        </Figure>
      </Top>
      <Who>
        {whoLivesIn(journal, tank) || (expected ? `empty, waits for ${expected.name ?? expected.species}` : 'empty')}
      </Who>
    </Head>
  )
}
