import { useState } from 'react'
import { Radio, RadioGroup } from 'react-aria-components'
import { styled } from 'styled-components'
import { chosenLook, setLook, type Look } from '../look/look.ts'

const LOOKS: readonly [Look, string][] = [
  ['paper', 'Paper'],
  ['night', 'Night'],
  ['system', 'As the system'],
]

const Group = styled(RadioGroup)`
  display: flex;
`

const Choice = styled(Radio)`
  display: flex;
  align-items: center;
  min-height: 44px;
  padding: 0 7px;
  color: var(--quiet);
  cursor: pointer;
  border-radius: 2px;
  &[data-selected] {
    color: var(--ink);
    text-decoration: underline;
    text-decoration-thickness: 2px;
    text-decoration-color: var(--second);
    text-underline-offset: 5px;
  }
  &[data-focus-visible] {
    outline: 2.5px solid var(--second);
  }
`

/** Paper or Night, or as the system says. */
export function LookChoice() {
  const [look, choose] = useState(chosenLook)
  return (
    <Group
      aria-label="Look"
      orientation="horizontal"
      value={look}
      onChange={(value) => {
        setLook(value as Look)
        choose(value as Look)
      }}
    >
      {LOOKS.map(([value, name]) => (
        <Choice key={value} value={value}>
          {name}
        </Choice>
      ))}
    </Group>
  )
}
