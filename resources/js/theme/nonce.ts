/**
 * The component library writes its styles at run time but never passes a nonce on to them,
 * and the page's security policy lets no other style in: each style element gets the page's nonce when it is made.
 */
const nonce = document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content ?? ''
const create = document.createElement.bind(document)

document.createElement = ((name: string, options?: ElementCreationOptions) => {
  const element = create(name, options)
  if (element instanceof HTMLStyleElement) element.nonce = nonce
  return element
}) as typeof document.createElement
