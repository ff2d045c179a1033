const token = (name) => `rgb(var(--${name}) / <alpha-value>)`
const colors = [
  'ground',
  'plate',
  'edge',
  'line',
  'rice',
  'ash',
  'celadon',
  'pressed',
  'ink',
  'inverse',
  'on-inverse',
  'disabled',
  'channel',
  'in-channel',
  'ember-off',
  'ember-low',
  'ember-medium',
  'ember-high',
  'ember-full',
]

module.exports = {
  content: ['./src/**/*.{ts,tsx}'],
  presets: [require('nativewind/preset')],
  darkMode: ['class', '[data-theme="steel"]'],
  theme: {
    colors: Object.fromEntries([...colors.map((name) => [name, token(name)]), ['transparent', 'transparent']]),
    fontFamily: { sans: ['Archivo Variable', 'system-ui', 'sans-serif'] },
    fontSize: {
      small: ['13px', '18px'],
      body: ['16px', '22px'],
      step: ['19px', '24px'],
      title: ['22px', '26px'],
      lead: ['26px', '30px'],
      amount: ['30px', '34px'],
      figure: ['40px', '42px'],
      action: ['56px', '56px'],
      clock: ['96px', '92px'],
      'clock-wide': ['168px', '156px'],
    },
  },
}
