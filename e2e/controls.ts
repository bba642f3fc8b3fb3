/** The library's parts as a cook uses them. */
import { expect, type Locator, type Page } from '@playwright/test'

/** Opens a list and picks what says so. */
export async function pick(list: Locator, says: string | RegExp): Promise<void> {
  const open = list.page().locator('.ant-select-dropdown:visible')
  // A click on one that is still closing would be its end.
  await expect(open).toHaveCount(0)
  await list.locator('xpath=ancestor::div[contains(@class, "ant-select-selector")]').click()
  const option = open.locator('.ant-select-item-option').filter({ hasText: says }).first()
  await option.click()
  // A list that moved under the hand was not hit, and is still open: once more, as anybody would.
  await expect(open)
    .toHaveCount(0, { timeout: 1500 })
    .catch(() => option.click())
  await expect(open).toHaveCount(0)
}

/** What a list stands at, as it is read. */
export const picked = (list: Locator): Locator => list.locator('xpath=ancestor::div[contains(@class, "ant-select-selector")]')

/** Chooses one of a few in sight. */
export const choose = (page: Page, says: string | RegExp): Promise<void> =>
  page.locator('.ant-radio-button-wrapper').filter({ hasText: says }).first().click()

/** A day and time typed. @param written as it is read here, “5 Mar 2027 19:30” */
export async function typeMoment(field: Locator, written: string): Promise<void> {
  await field.click()
  await field.fill(written)
  await field.press('Enter')
}

/** Unfolds what the sentence of the plan does not name. */
export const allSettings = (page: Page): Promise<void> => page.getByRole('button', { name: 'All settings' }).click()
