import { act, fireEvent, render, screen } from '@testing-library/react'
import { NoAnswer, Refused } from '../device/http'
import { startWords } from '../words/i18n'
import { Button } from './Button'
import { Choice } from './Choice'
import { Dial } from './Dial'
import { HoldButton } from './HoldButton'
import { useMeasureWords } from './measureWords'
import { Notice } from './Notice'
import { Sheet } from './Sheet'
import { Empty, Loading, Problem } from './states'
import { Text } from './Text'
import { toast, ToastPlace } from './Toast'

beforeAll(startWords)

describe('a button', () => {
  test('is pressed, and says label and detail to those who hear it', () => {
    const onPress = jest.fn()
    render(<Button label="Fire duck, 3" detail="Ring A, 1.05 kg" onPress={onPress} />)
    fireEvent.click(screen.getByRole('button', { name: 'Fire duck, 3, Ring A, 1.05 kg' }))
    expect(onPress).toHaveBeenCalledTimes(1)
  })

  test('that is disabled says why and cannot be pressed', () => {
    const onPress = jest.fn()
    render(<Button label="Send" disabledBecause="allergy not asked" onPress={onPress} />)
    const button = screen.getByRole('button', { name: 'Send, allergy not asked' })
    fireEvent.click(button)
    expect(onPress).not.toHaveBeenCalled()
    expect(button.getAttribute('aria-disabled')).toBe('true')
  })

  test('that is busy takes no second press', () => {
    const onPress = jest.fn()
    render(<Button label="Firing" isBusy onPress={onPress} />)
    fireEvent.click(screen.getByRole('button', { name: 'Firing' }))
    expect(onPress).not.toHaveBeenCalled()
  })
})

describe('a hold', () => {
  beforeEach(() => jest.useFakeTimers())
  afterEach(() => jest.useRealTimers())
  const pass = (ms: number) => act(() => void jest.advanceTimersByTime(ms))
  const hold = () => {
    const onHeld = jest.fn()
    render(<HoldButton label="Stop" detail="hold 1 s" onHeld={onHeld} />)
    return { onHeld, button: screen.getByRole('button', { name: 'Stop, hold 1 s' }) }
  }

  test('of a second does it; a shorter one does nothing', () => {
    const { onHeld, button } = hold()
    fireEvent.pointerDown(button)
    pass(600)
    fireEvent.pointerUp(button)
    fireEvent.click(button)
    pass(2000)
    expect(onHeld).not.toHaveBeenCalled()
    fireEvent.pointerDown(button)
    pass(1100)
    expect(onHeld).toHaveBeenCalledTimes(1)
  })

  test('right after a quick first press still counts', () => {
    const { onHeld, button } = hold()
    fireEvent.pointerDown(button)
    fireEvent.pointerUp(button)
    fireEvent.pointerDown(button)
    pass(1100)
    expect(onHeld).toHaveBeenCalledTimes(1)
  })

  test('by keyboard, once however long the key is down', () => {
    const { onHeld, button } = hold()
    fireEvent.keyDown(button, { key: 'Enter' })
    pass(500)
    fireEvent.keyDown(button, { key: 'Enter', repeat: true })
    pass(600)
    expect(onHeld).toHaveBeenCalledTimes(1)
    pass(3000)
    expect(onHeld).toHaveBeenCalledTimes(1)
  })

  test('by a screen reader is a click', () => {
    const { onHeld, button } = hold()
    fireEvent.click(button)
    expect(onHeld).toHaveBeenCalledTimes(1)
  })

  test('is let go when the finger leaves', () => {
    const { onHeld, button } = hold()
    fireEvent.pointerDown(button)
    pass(500)
    fireEvent(button, new Event('pointercancel', { bubbles: true }))
    fireEvent.blur(button)
    pass(2000)
    expect(onHeld).not.toHaveBeenCalled()
  })
})

describe('a dial', () => {
  const dial = (value: number) => {
    const onChange = jest.fn()
    render(
      <Dial
        name="Portions"
        value={value}
        least={1}
        most={60}
        unit="portions"
        lessLabel="One less"
        moreLabel="One more"
        onChange={onChange}
      />,
    )
    return onChange
  }

  test('goes by knuckle', () => {
    const onChange = dial(4)
    fireEvent.click(screen.getByRole('button', { name: 'One more' }))
    fireEvent.click(screen.getByRole('button', { name: 'One less' }))
    expect(onChange.mock.calls).toEqual([[5], [3]])
  })

  test('goes by arrow and page keys, and stops at its ends', () => {
    const onChange = dial(55)
    const spin = screen.getByRole('spinbutton', { name: 'Portions' })
    for (const key of ['ArrowUp', 'ArrowLeft', 'PageUp', 'x']) fireEvent.keyDown(spin, { key })
    expect(onChange.mock.calls).toEqual([[56], [54], [60]])
    expect(spin.getAttribute('aria-valuetext')).toBe('55 portions')
  })

  test('at its end the side is off', () => {
    const onChange = dial(1)
    fireEvent.click(screen.getByRole('button', { name: 'One less' }))
    expect(onChange).not.toHaveBeenCalled()
  })
})

test('a choice tells whether it is chosen', () => {
  const onChoose = jest.fn()
  render(<Choice role="checkbox" label="no egg" isChosen onChoose={onChoose} />)
  const choice = screen.getByRole('checkbox', { name: 'no egg' })
  expect(choice.getAttribute('aria-checked')).toBe('true')
  fireEvent.click(choice)
  expect(onChoose).toHaveBeenCalled()
})

test.each(['radio', 'checkbox'] as const)(
  'a %s is chosen by the space bar, once while it is held, and by no other letter',
  (role) => {
    const onChoose = jest.fn()
    render(<Choice role={role} label="no egg" isChosen={false} onChoose={onChoose} />)
    const choice = screen.getByRole(role, { name: 'no egg' })
    expect(fireEvent.keyDown(choice, { key: ' ' })).toBe(false)
    fireEvent.keyDown(choice, { key: ' ', repeat: true })
    expect(onChoose).toHaveBeenCalledTimes(1)
    fireEvent.keyDown(choice, { key: 'x' })
    expect(onChoose).toHaveBeenCalledTimes(1)
  },
)

test('a notice is words with its sign, never a hue alone', () => {
  const { container } = render(
    <Notice kind="allergy" title="43, egg allergy">
      say it aloud
    </Notice>,
  )
  expect(screen.getByText('43, egg allergy')).toBeTruthy()
  expect(screen.getByText('say it aloud')).toBeTruthy()
  expect(container.querySelector('svg')).toBeTruthy()
})

describe('a screen without its data', () => {
  test('loads, is empty', () => {
    render(<Loading what="Fetching the line" />)
    expect(screen.getByRole('status').textContent).toContain('Fetching the line')
    render(<Empty title="No tickets" detail="next boat 18:40" />)
    expect(screen.getByText('No tickets')).toBeTruthy()
  })

  test('says what the server said, in its own sentence, with the values filled in', () => {
    const problem = {
      type: 'x',
      title: 't',
      status: 409,
      detail: 'd',
      code: 'already-fired' as const,
      faults: [],
      values: { ticket: 43 },
    }
    render(<Problem error={new Refused(problem)} />)
    expect(screen.getByRole('alert').textContent).toContain('Ticket 43 is already fired. Look at its run.')
  })

  test("names an allergen in the interface's words", () => {
    const values = { dish: 'Duck', allergen: 'gluten', components: 'light soy' }
    const problem = {
      type: 'x',
      title: 't',
      status: 422,
      detail: 'd',
      code: 'allergen-stays' as const,
      faults: [],
      values,
    }
    render(<Problem error={new Refused(problem)} />)
    expect(screen.getByRole('alert').textContent).toContain(
      'Duck cannot be made without wheat, gluten: it is in light soy.',
    )
  })

  test('without an answer says that nothing is lost, and tries again', () => {
    const onRetry = jest.fn()
    render(<Problem error={new NoAnswer('x')} onRetry={onRetry} />)
    expect(screen.getByRole('alert').textContent).toContain('Nothing is lost')
    fireEvent.click(screen.getByRole('button', { name: 'Try again' }))
    expect(onRetry).toHaveBeenCalled()
  })
})

test('a sheet is a dialog with a name, and closes', () => {
  const onClose = jest.fn()
  render(
    <Sheet title="Which ring?" isOpen onClose={onClose}>
      <Text>A or B</Text>
    </Sheet>,
  )
  expect(screen.getByRole('dialog', { name: 'Which ring?' })).toBeTruthy()
  fireEvent.click(screen.getByRole('button', { name: 'Close' }))
  expect(onClose).toHaveBeenCalled()
})

test('a toast is read out, can be taken back, and goes', () => {
  jest.useFakeTimers()
  const onUndo = jest.fn()
  render(<ToastPlace />)
  act(() => toast('+10 s: sauce at 2:34', onUndo))
  fireEvent.click(screen.getByRole('button', { name: 'Undo' }))
  expect(onUndo).toHaveBeenCalled()
  expect(screen.queryByText('+10 s: sauce at 2:34')).toBeNull()
  act(() => toast('again'))
  act(() => void jest.advanceTimersByTime(7000))
  expect(screen.queryByText('again')).toBeNull()
  jest.useRealTimers()
})

test('measures read as a kitchen says them, with their rounding where it matters', () => {
  const measures = [
    { tool: 'count' as const, name: 'egg', count: 1, massG: 50, errorFraction: 0.01 },
    { tool: 'count' as const, name: 'egg', count: 2.5, massG: 125, errorFraction: -0.06 },
    { tool: 'ladle' as const, name: 'small ladle', count: 0.5, massG: 24, errorFraction: 0.02 },
    { tool: 'tbsp' as const, name: '', count: 1 / 3, massG: 5, errorFraction: 0.08 },
    { tool: 'scale' as const, name: '', count: 46, massG: 46, errorFraction: 0 },
  ]
  let said: (string | null)[] = []
  function Probe() {
    const words = useMeasureWords()
    said = measures.map(words)
    return null
  }
  render(<Probe />)
  expect(said).toEqual(['1 egg', '2½ eggs (−6\u00a0%)', '½ small ladle', '⅓ tbsp (+8\u00a0%)', null])
})
