import { Button as AriaButton, Link as AriaLink } from 'react-aria-components'
import { css, styled } from 'styled-components'

const shape = css`
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: 8px;
  min-height: 44px;
  padding: 8px 16px;
  border-radius: 2px;
  border: 1.5px solid var(--second);
  background: transparent;
  color: var(--second);
  font-weight: 650;
  font-size: 15px;
  line-height: 1.2;
  text-decoration: none;
  cursor: pointer;
  &[data-disabled] {
    border-color: var(--strong-rule);
    color: var(--quiet);
    cursor: default;
  }
  &[data-pressed] {
    background: var(--band);
  }
  &[aria-pressed='true'] {
    background: var(--band);
    font-weight: 750;
  }
`

/** What can be done. Its words say what happens: "Log 2.6 mL", "Move both fish". */
export const Button = styled(AriaButton)`
  ${shape}
`

/** The one thing to do next. */
export const PrimaryButton = styled(AriaButton)`
  ${shape}
  background: var(--second);
  color: var(--on-second);
  &[data-disabled] {
    background: transparent;
  }
  &[data-pressed] {
    background: var(--second);
    opacity: 0.85;
  }
`

/** A lesser way out, beside a button: "skip", "other amount". */
export const PlainButton = styled(AriaButton)`
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: 44px;
  padding: 4px 2px;
  border: 0;
  border-radius: 2px;
  background: none;
  color: var(--ink);
  text-decoration: underline;
  text-decoration-color: var(--strong-rule);
  text-underline-offset: 4px;
  font-size: 15px;
  cursor: pointer;
  &[data-hovered] {
    text-decoration-color: var(--second);
    color: var(--second);
  }
`

/** A drawing alone; needs an aria-label. */
export const IconButton = styled(AriaButton)`
  display: inline-grid;
  place-items: center;
  min-width: 44px;
  min-height: 44px;
  padding: 0;
  border: 0;
  border-radius: 2px;
  background: none;
  color: var(--ink);
  cursor: pointer;
`

export const ButtonLink = styled(AriaLink)`
  ${shape}
`

/** A way to another screen within a sentence or a list. */
export const PlainLink = styled(AriaLink)`
  color: var(--ink);
  text-decoration: underline;
  text-decoration-color: var(--strong-rule);
  text-underline-offset: 4px;
  &[data-hovered] {
    text-decoration-color: var(--second);
    color: var(--second);
  }
`
