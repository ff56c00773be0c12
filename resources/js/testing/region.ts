// Tests tell moments as one region writes them, whatever the machine's own is.
Object.defineProperty(navigator, 'language', { value: 'en-GB', configurable: true })
