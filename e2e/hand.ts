import type { Locator, Page } from '@playwright/test';
import { expect } from './app';

/** A hand that counts what it does: a press of the mouse, a text typed, a key. */
export class Hand {
  acts = 0;
  constructor(readonly page: Page) {}

  async press(where: Locator): Promise<void> {
    this.acts += 1;
    await where.click();
  }

  async type(text: string): Promise<void> {
    this.acts += 1;
    await this.page.keyboard.insertText(text);
  }

  async key(key: string): Promise<void> {
    this.acts += 1;
    await this.page.keyboard.press(key);
  }

  /** Opens an address that is read somewhere, or scanned. */
  async open(address: string): Promise<void> {
    this.acts += 1;
    await this.page.goto(address);
  }

  /** Opens a phrase and takes what is found first for the text. */
  async choose(label: string, text: string): Promise<void> {
    await this.press(this.page.getByRole('button', { name: new RegExp(`^${label}:`) }).last());
    await expect(this.page.locator('[cmdk-input]')).toBeFocused();
    await this.type(text);
    await this.key('Enter');
    await expect(this.page.locator('[cmdk-input]')).toBeHidden();
  }

  /** Opens a phrase and presses what is wanted. */
  async pick(label: string, option: RegExp): Promise<void> {
    await this.press(this.page.getByRole('button', { name: new RegExp(`^${label}:`) }).last());
    await this.press(this.page.getByRole('option', { name: option }));
    await expect(this.page.locator('[cmdk-input]')).toBeHidden();
  }

  button(name: string | RegExp): Promise<void> {
    return this.press(this.page.getByRole('button', { name, exact: true }));
  }

  async fill(label: string, text: string): Promise<void> {
    this.acts += 1;
    await this.page.getByLabel(label).fill(text);
  }

  async line(text: string): Promise<void> {
    await this.press(this.page.getByLabel('Reading line'));
    await this.type(text);
  }
}
