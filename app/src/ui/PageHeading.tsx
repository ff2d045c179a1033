import { useEffect } from 'react'
import { useWords } from '../words/i18n'
import { Text, type TextProps } from './Text'

/** The heading of a page, which is its title in the browser too: tabs, history and screen readers say where one is. */
export function PageHeading({ children, ...rest }: Omit<TextProps, 'children'> & { children: string }) {
  const t = useWords('ui')
  useEffect(() => {
    document.title = t('pageTitle', { page: children })
  }, [children, t])
  return (
    <Text {...rest} role="heading" aria-level={1}>
      {children}
    </Text>
  )
}
