import type { Page } from '@playwright/test'
import { DishList, type Dish } from 'contract/dish'
import { TastingList } from 'contract/book'
import { expect, test, type Kitchen } from './kitchen'

test.use({ serviceWorkers: 'allow' })

const dishOf = async (kitchen: Kitchen, id: string): Promise<Dish | undefined> =>
  DishList.parse(await (await kitchen.fetch(`/dishes`)).json()).dishes.find((dish) => dish.id === id)

const amount = (page: Page, n: number) => page.getByRole('textbox', { name: `How much, line ${n}`, exact: true })
const what = (page: Page, n: number) => page.getByRole('textbox', { name: `What, line ${n}`, exact: true })
const save = (page: Page) => page.getByRole('button', { name: /^Save/ }).last()

const LIST = `Fried rice
For the wok:
• 2 large eggs, beaten
3 cloves garlic, minced
1½ tbsp light soy sauce
1 tbsp sugar (60 g)
2 spring onions, sliced
SALT`

test('a dish from a pasted list: doubts beside their line, mended in one touch, saved, on the line', async ({
  kitchen,
  open,
}) => {
  const page = await open('/book/new')
  await page.getByRole('textbox', { name: 'Name of the dish' }).fill('Ferry rice')
  await page.getByRole('button', { name: 'Paste a list' }).click()
  await page.getByRole('textbox', { name: 'The list' }).fill(LIST)
  await page.getByRole('button', { name: 'Take it in' }).click()
  await expect(page.getByText(/^Headings left out: For the wok, SALT/)).toBeVisible()
  await expect(what(page, 3)).toHaveValue('eggs')
  await expect(amount(page, 5)).toHaveValue('1½ tbsp')
  await expect(page.getByText(/would weigh 4.06 g\/mL/)).toBeVisible()
  await page.getByRole('button', { name: /only 1 tbsp holds/ }).click()
  await expect(amount(page, 6)).toHaveValue('12.5 g')
  await expect(page.getByText(/would weigh/)).toBeHidden()
  await expect(save(page)).toHaveAccessibleName(/1 line without an amount/)
  await page.getByRole('button', { name: 'More about Fried rice' }).click()
  await page.getByRole('button', { name: 'Take Fried rice out' }).click()
  await save(page).click()
  await expect(page.getByText('Ferry rice is in the book, version 1')).toBeVisible()
  const dish = await dishOf(kitchen, 'ferry-rice')
  expect(dish?.components.map((one) => one.ingredientId)).toEqual([
    'rice-long-chilled-dry',
    'egg-whole',
    'garlic',
    'soy-sauce-light',
    'sugar-white',
    'spring-onion',
  ])
  expect(dish?.components.find((one) => one.id === 'eggs')?.allergens).toEqual(['egg'])
  const line = await open('/line/add')
  await expect(line.getByRole('button', { name: /^Ferry rice/ })).toBeVisible()
})

test('by keyboard alone: typed, moved, undone, saved', async ({ kitchen, open }) => {
  const page = await open('/book/plain/edit')
  await expect(what(page, 2)).toHaveValue('egg')
  await what(page, 2).focus()
  await page.keyboard.press('Tab')
  await expect(amount(page, 2)).toBeFocused()
  await page.keyboard.press('Control+a')
  await page.keyboard.type('1 egg')
  await expect(page.getByText('27.8 to 100 g')).toBeVisible()
  await page.keyboard.press('Alt+ArrowDown')
  await expect(what(page, 3)).toHaveValue('egg')
  await page.keyboard.press('Control+z')
  await expect(what(page, 2)).toHaveValue('egg')
  await page.keyboard.press('Control+y')
  await expect(what(page, 3)).toHaveValue('egg')
  const handle = page.getByRole('button', { name: 'Move egg' })
  await handle.focus()
  await page.keyboard.press('Space')
  await expect(page.getByText(/^egg at place 3 of/)).toBeAttached()
  await page.keyboard.press('ArrowUp')
  await expect(page.getByText(/^egg at place 2 of/)).toBeAttached()
  await page.keyboard.press('Space')
  await expect(what(page, 2)).toHaveValue('egg')
  const button = save(page)
  for (let n = 0; n < 80 && !(await button.evaluate((one) => one === document.activeElement)); n += 1)
    await page.keyboard.press(n < 40 ? 'Tab' : 'Shift+Tab')
  if (!(await button.evaluate((one) => one === document.activeElement))) await button.focus()
  await page.keyboard.press('Enter')
  await expect(page.getByText('House plain rice with egg is in the book, version 2')).toBeVisible()
  expect((await dishOf(kitchen, 'plain'))?.components[1]).toMatchObject({ id: 'egg', written: '1 egg' })
})

test(
  'two editors of one dish: the second sees what changed and takes both',
  { tag: '@phone' },
  async ({ kitchen, open }) => {
    const first = await open('/book/duck/edit')
    const second = await open('/book/duck/edit')
    await expect(what(second, 3)).toHaveValue('duck')
    await amount(second, 3).fill('50 g')
    await amount(first, 4).fill('25 g')
    await save(first).click()
    await expect(first.getByText(/is in the book, version 2/)).toBeVisible()
    await save(second).click()
    const sheet = second.getByRole('dialog', { name: 'Somebody else saved this dish meanwhile' })
    await expect(sheet.getByText('pickled greens 9.2 g → 11.4 g')).toBeVisible()
    await expect(sheet.getByText('duck 18.8 g → 22.7 g')).toBeVisible()
    await sheet.getByRole('button', { name: /^Take both, they do not touch/ }).click()
    await expect(second.getByText(/is in the book, version 3/)).toBeVisible()
    const dish = await dishOf(kitchen, 'duck')
    const ratio = (id: string) => dish?.components.find((one) => one.id === id)?.ratioG
    expect([ratio('duck'), ratio('pickled-greens')]).toEqual([expect.closeTo(22.73, 1), expect.closeTo(11.36, 1)])
  },
)

test('a reload loses nothing that was typed; a paste of 5 MB takes nothing in', { tag: '@phone' }, async ({ open }) => {
  const page = await open('/book/crab/edit')
  await expect(what(page, 3)).toHaveValue('crab')
  await amount(page, 3).fill('3 tbsp')
  await page.waitForTimeout(500)
  await page.reload()
  await expect(amount(page, 3)).toHaveValue('3 tbsp')
  await expect(page.getByText('Changes from before are here again.')).toBeVisible()
  await page.getByRole('button', { name: 'Paste a list' }).click()
  await page.getByRole('textbox', { name: 'The list' }).evaluate((box) => {
    const clipboardData = new DataTransfer()
    clipboardData.setData('text/plain', '2 tbsp soy sauce\n'.repeat(300_000))
    box.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }))
  })
  await expect(page.getByText(/lines are no dish: at most 60\. Nothing was taken in/)).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(amount(page, 3)).toHaveValue('3 tbsp')
  await page.getByRole('button', { name: 'Start from the book' }).click()
  await expect(amount(page, 3)).toHaveValue('42 g')
})

test(
  'an allergen found on a label reaches the dish; a density is weighed once',
  { tag: '@phone' },
  async ({ kitchen, open }) => {
    const page = await open('/book/ingredients/pepper-white')
    await page.getByRole('group', { name: 'Contains' }).getByRole('checkbox', { name: 'celery' }).click()
    await expect.poll(async () => (await dishOf(kitchen, 'duck'))?.version).toBe(2)
    await page.goto(`${kitchen.url}/book/duck`)
    await expect(page.getByText(/^Contains .*celery/)).toBeVisible()
    await page.goto(`${kitchen.url}/book/ingredients/duck-roast`)
    await page.getByRole('textbox', { name: 'In which form' }).fill('shredded')
    await page.getByRole('textbox', { name: 'On the scale, g' }).fill('118')
    await expect(page.getByText('0.499 g/mL')).toBeVisible()
    await page.getByRole('button', { name: /^Remember it/ }).click()
    await expect(page.getByText(/^shredded 0\.4988 g\/mL/)).toBeVisible()
    await page.getByRole('textbox', { name: 'Price', exact: true }).fill('-3')
    await page.getByRole('textbox', { name: 'Price', exact: true }).blur()
    await expect(page.getByRole('alert').filter({ hasText: 'A price is not negative' })).toBeVisible()
  },
)

test('a recipe from JSON-LD is looked at line by line, then edited', { tag: '@phone' }, async ({ open }) => {
  const page = await open('/book/files')
  const recipe = {
    '@context': 'https://schema.org',
    '@graph': [
      {
        '@type': 'Recipe',
        name: 'Harbour rice',
        recipeYield: ['2'],
        recipeIngredient: ['<b>300 g</b> cooked rice', '12 eggs, 40 g', '1 tbsp light soy sauce'],
        author: 'nobody',
      },
    ],
  }
  const chooser = page.waitForEvent('filechooser')
  await page.getByRole('button', { name: 'Choose a file' }).first().click()
  const buffer = Buffer.from(JSON.stringify(recipe))
  await (await chooser).setFiles({ name: 'recipe.jsonld', mimeType: 'application/ld+json', buffer })
  await expect(page.getByText('1 line needs a look.')).toBeVisible()
  await expect(page.getByText(/12 weigh about 600 g, not 40 g/)).toBeVisible()
  await expect(page.getByText('author: nobody')).toBeVisible()
  await page.getByRole('button', { name: 'To the editor' }).click()
  await expect(page.getByRole('textbox', { name: 'Name of the dish' })).toHaveValue('Harbour rice')
  await page.getByRole('button', { name: /12 it is/ }).click()
  await expect(amount(page, 2)).toHaveValue('600 g')
})

test(
  'after the taste: an answer in grams; what is said without a network is kept and sent later',
  { tag: '@phone' },
  async ({ kitchen, open, context }) => {
    const page = await open('/book/mushroom/taste')
    await page.getByRole('radio', { name: 'salty' }).click()
    await expect(page.getByText(/^\d+ g$/).first()).toBeVisible()
    await expect(page.getByText('day-old rice').first()).toBeVisible()
    await context.setOffline(true)
    await page
      .getByRole('button', { name: /^Added it/ })
      .last()
      .click()
    await expect(page.getByText(/^Noted: salty, \d+ g day-old rice/)).toBeVisible()
    await context.setOffline(false)
    const said = async () =>
      TastingList.parse(await (await kitchen.fetch(`/tastings`)).json()).tastings.map((one) => one.verdict)
    await expect.poll(said, { timeout: 20_000 }).toEqual(['salty'])
    for (let n = 0; n < 2; n += 1)
      await page
        .getByRole('button', { name: /^Only noted/ })
        .last()
        .click()
    await expect.poll(said, { timeout: 20_000 }).toEqual(['salty', 'salty', 'salty'])
    await page.goto(`${kitchen.url}/book/mushroom`)
    await page.getByRole('button', { name: /^Change .* from .* to / }).click()
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Edit Oyster mushroom/)
    await expect(page.getByRole('button', { name: 'Undo' }).last()).toBeEnabled()
  },
)

test(
  'a variation for a diet says what stands in, and the house standard what it breaks',
  { tag: '@phone' },
  async ({ kitchen, open }) => {
    const page = await open('/book/chicken/edit')
    await page.getByRole('button', { name: '? no egg' }).click()
    await expect(page.getByText('without egg')).toBeVisible()
    await page.getByRole('button', { name: '? vegan' }).click()
    await expect(page.getByText(/stands in/)).toBeVisible()
    await page.getByRole('button', { name: 'Take vegan' }).click()
    await page.getByRole('button', { name: 'Bind the name' }).click()
    await save(page).click()
    await expect(page.getByText(/is in the book, version 2/)).toBeVisible()
    const dish = await dishOf(kitchen, 'chicken')
    const vegan = dish?.modifiers.find((one) => one.id === 'vegan')
    expect(vegan?.swaps?.every((one) => !one.allergens.includes('fish'))).toBe(true)
    expect(dish?.standard?.name).toBe('Chicken and salted fish')
    await page.goto(`${kitchen.url}/book/chicken/edit`)
    await amount(page, 3).fill('20 g')
    await expect(page.getByText(/^Not the house standard/)).toBeVisible()
  },
)

test(
  'the bands of a style are the kitchen’s own: an upside-down one is refused beside it, a narrower one is felt',
  { tag: '@phone' },
  async ({ kitchen, open }) => {
    const page = await open('/book/styles')
    await page.getByRole('radio', { name: 'soy-brown' }).click()
    const most = page.getByRole('textbox', { name: 'salt, to' })
    await most.fill('0.5')
    await most.blur()
    await expect(page.getByRole('alert').filter({ hasText: 'lower end' })).toBeVisible()
    await page.getByRole('textbox', { name: 'salt, from' }).fill('0.3')
    await page.getByRole('button', { name: 'Save the bands' }).click()
    await expect(page.getByText('The bands of soy-brown are saved')).toBeVisible()
    await page.goto(`${kitchen.url}/book/duck`)
    await expect(page.getByText(/over: duck sauce brings/).first()).toBeVisible()
    await expect(page.getByText(/^Smallest repair/)).toBeVisible()
  },
)

test('a line is dragged to its place by its handle', async ({ open }) => {
  const page = await open('/book/plain/edit')
  const handle = page.getByRole('button', { name: 'Move egg' })
  // In the middle of the screen: near its edges a drag scrolls the list.
  await handle.evaluate((node) => node.scrollIntoView({ block: 'center' }))
  const [from, to] = [await handle.boundingBox(), await page.getByRole('button', { name: 'Move oil' }).boundingBox()]
  await page.mouse.move(from!.x + 10, from!.y + 20)
  await page.mouse.down()
  await page.mouse.move(from!.x + 10, from!.y + 30, { steps: 3 })
  await expect(page.getByText(/^egg (at|taken,) place 2 of/)).toBeAttached()
  await page.mouse.move(to!.x + 10, to!.y + 20, { steps: 15 })
  await expect(page.getByText(/^egg at place 4 of/)).toBeAttached()
  await page.mouse.up()
  await expect(what(page, 4)).toHaveValue('egg')
  await page.getByRole('button', { name: 'Undo' }).first().click()
  await expect(what(page, 4)).not.toHaveValue('egg')
})
