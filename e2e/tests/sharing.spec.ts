import { accessible } from '../support/accessible.ts';
import { addCopy, expect, expectSize, fill, saved, test } from '../support/quilt.ts';
import { DemoServer } from '../support/server.ts';

test.use({ ignoreHTTPSErrors: true });

test('at home: behind the passphrase, over TLS; a link to look, taken back at once', async ({
  page,
  browser,
}) => {
  // Several pages, and servers that stop and start.
  test.slow();
  const server = new DemoServer(['--share', '--share-port', '0', '--passphrase', 'thimble otter lantern']);
  await server.start();
  const id = await addCopy(page, server, 'Seen from the sofa');

  const sofa = await (
    await browser.newContext({ ignoreHTTPSErrors: true, serviceWorkers: 'block' })
  ).newPage();
  await sofa.goto(`${server.shared}quilts/${id}/setting`);
  await sofa.getByRole('textbox', { name: 'Passphrase' }).fill('thimble otter lamp');
  await accessible(sofa);
  await sofa.keyboard.press('Enter');
  await expect(sofa.getByText('This is not the passphrase.')).toBeVisible();
  await sofa.getByRole('textbox', { name: 'Passphrase' }).fill('Thimble otter lantern');
  await sofa.keyboard.press('Enter');
  await expectSize(sofa, '70 × 81 1/2″');
  await fill(sofa, 'Sash, finished', '2');
  await saved(sofa);

  await page.goto(`${server.address}keeping`);
  await page.getByRole('textbox', { name: 'A link for' }).fill('The Tuesday group');
  await page.getByRole('button', { name: 'Make the link' }).click();
  const made = page.getByRole('status').filter({ hasText: 'It is shown this once' });
  await expect(made).toContainText('#come-in=');
  const url = (await made.innerText()).match(/https:\S+#come-in=\S+/)![0].replace(/\/\/[^:]+/, '//127.0.0.1');
  const guild = await (
    await browser.newContext({ ignoreHTTPSErrors: true, serviceWorkers: 'block' })
  ).newPage();
  await guild.goto(url);
  await expect(guild.getByRole('link', { name: 'Seen from the sofa' })).toBeVisible();
  // The secret does not stay in the address, to be copied on by accident.
  expect(guild.url()).not.toContain('come-in');
  await guild.getByRole('link', { name: 'Seen from the sofa' }).click();
  await guild.getByRole('link', { name: 'Setting' }).click();
  await expect(guild.getByText('View only: try anything, nothing is saved')).toBeVisible();
  await fill(guild, 'Sash, finished', '3');
  await expectSize(guild, '79 × 92″');
  await guild.reload();
  await expectSize(guild, '73 × 85″');

  await page.getByRole('button', { name: 'Revoke the link for The Tuesday group' }).click();
  await expect(page.getByText('The Tuesday group: to look')).toBeHidden();
  await guild.reload();
  await expect(guild.getByRole('textbox', { name: 'Passphrase' })).toBeVisible();
  await server.end();
});
