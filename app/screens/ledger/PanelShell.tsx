import { X } from 'lucide-react'
import { useEffect, useRef, type ReactNode } from 'react'
import { styled } from 'styled-components'
import { isTyping } from '../../frame/shortcuts.ts'
import { IconButton } from '../../look/buttons.ts'
import type { Beside } from './opened.ts'

const Aside = styled.aside`
  flex: none;
  width: 392px;
  max-width: 100%;
  overflow: auto;
  background: var(--sheet);
  border-left: 1px solid var(--strong-rule);
  padding: 8px 18px 28px;
  outline: none;
  @media (max-width: 759px) {
    width: 100%;
    border-left: 0;
    padding: 4px 16px 28px;
  }
`

const Top = styled.div`
  position: sticky;
  top: -8px;
  z-index: 1;
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  background: var(--sheet);
  margin-bottom: 8px;
  h2 {
    font-size: 19px;
    line-height: 1.2;
  }
`

/** What every panel beside the ledger is given. */
export interface PanelProps {
  beside: Beside
  onOpen: (beside: Beside | null) => void
  onClose: () => void
}

/** The panel's frame; it takes the focus when it opens. */
export function Shell({ title, onClose, children }: { title: string; onClose: () => void; children: ReactNode }) {
  const aside = useRef<HTMLElement>(null)
  useEffect(() => {
    // A keeper who has gone on to type elsewhere is not called back.
    if (!isTyping(document.activeElement) && !aside.current?.contains(document.activeElement)) aside.current?.focus()
  }, [title])
  return (
    <Aside ref={aside} aria-label={title} tabIndex={-1}>
      <Top>
        <h2>{title}</h2>
        <IconButton aria-label="Close" onPress={onClose}>
          <X size={20} aria-hidden="true" />
        </IconButton>
      </Top>
      {children}
    </Aside>
  )
}
