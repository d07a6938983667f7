/** Days and moments as they are written everywhere: 5 Dec 2026, 5 Dec 2026, 14:30. */
export const days = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium' })
export const clocks = new Intl.DateTimeFormat('en-GB', { timeStyle: 'short' })
export const moments = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' })
