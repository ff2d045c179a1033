/** Where the portions of a batch go when it is up. */
export const bowlWords = {
  title: 'Where it goes',
  ticket: 'Ticket {{number}}',
  whole_one: '{{count}} portion, whole: to the pass',
  whole_other: '{{count}} portions, whole: to the pass',
  unknown_one: '{{count}} portion: see at the pass whether it is whole',
  unknown_other: '{{count}} portions: see at the pass whether it is whole',
  part: '{{n}} of {{all}}: keep together',
  frying_one: '{{count}} more from {{station}} at {{time}}',
  frying_other: '{{count}} more, the last from {{station}} at {{time}}',
  toFire: '{{count}} not fired yet',
} as const
