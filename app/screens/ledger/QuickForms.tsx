import type { Tank } from '../../../core/household/tanks.ts'
import { PlainButton } from '../../look/buttons.ts'
import { QUICK_FORMS, useBeside } from './opened.ts'

/** What is logged most at a tank, each a word to press. */
export function QuickForms({ tank }: { tank: Tank }) {
  const [, openBeside] = useBeside()
  return QUICK_FORMS.map(([form, name]) => (
    <PlainButton
      key={form}
      onPress={() => openBeside({ show: 'form', form, tankId: tank.id, day: null })}
      aria-label={`${name}, ${tank.name}`}
    >
      {name}
    </PlainButton>
  ))
}
