import { Page } from './page.ts';
import { TestServer } from './server.ts';

/** A server with the demo data and one page, for all tests of the file that imports them. */
export const server = new TestServer();
export let page: Page;

beforeAll(async () => {
  await server.start();
  page = await Page.open();
});

afterAll(async () => {
  await page?.close();
  await server.remove();
});
