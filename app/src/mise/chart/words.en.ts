export const chartWords = {
  chart: {
    title: 'The plan, {{n}} tasks',
    keys: 'Arrow keys go from task to task, Enter opens one.',
    noHands: 'No hands',
    rails: 'The rails at {{time}}, pans to one scale',
    railsKey: 'filled: ready · outline: still to come · hatched: short',
    states: { ready: 'ready', coming: 'still to come', short: 'short' },
    first: '{{time}} first boat',
    task: '{{task}}, {{who}}, {{from}} to {{to}}, {{slack}} of slack',
    taskLate: '{{task}}, {{who}}, {{from}} to {{to}}, {{late}} late',
    string: 'The string shows the slack of the task in hand: tight is the chain that decides.',
  },
} as const
