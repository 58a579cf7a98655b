import { expect, newJob, addLine, saved, test } from './bench';

test('a job becomes a pattern, a list fills it, one row is changed, and all of them are made as one send', async ({ page, quiet }) => {
    quiet.allow.push(/422/);
    const path = await newJob(page, 'Family names');
    await addLine(page, 'words', 'Set words');
    await saved(page);
    await page.goto(path.replace('/build', '/series'));
    await expect(page.getByText('Nothing changes from row to row yet')).toBeVisible();
    const choose = page.getByRole('combobox', { name: 'Something that changes from row to row' });
    await choose.click({ delay: 70 });
    await choose.fill(': words');
    await page.getByRole('option', { name: /: words/ }).first().click({ delay: 70 });
    await page.getByRole('button', { name: 'Make it a slot' }).click({ delay: 70 });
    await page.getByLabel('Slot 1 is called').fill('Name');
    await page.getByLabel('What each shirt is called').fill('{Town} family');
    await page.getByRole('button', { name: 'Keep the pattern' }).click({ delay: 70 });
    await expect(page.getByText('The title names {Town}')).toBeVisible();
    await page.getByLabel('What each shirt is called').fill('{Name} family');
    await page.getByRole('button', { name: 'Keep the pattern' }).click({ delay: 70 });

    await page.getByLabel(/A list, its first row the headings/).fill('Name,Town\nWren,x\n,y\nRook,z');
    await page.getByRole('button', { name: 'Take these rows' }).click({ delay: 70 });
    await expect(page.getByText('Row 3, column Name: is empty.')).toBeVisible();
    const wren = page.getByRole('listitem').filter({ hasText: 'Wren family' });
    await wren.scrollIntoViewIfNeeded();
    await expect(wren.getByRole('img', { name: 'Wren family' })).toBeVisible();
    await expect(wren).not.toContainText('being checked');
    await wren.getByRole('button', { name: 'Change Wren family' }).click({ delay: 70 });
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('textbox', { name: 'Name' }).fill('Wrenfield');
    await dialog.getByRole('button', { name: 'Keep this row' }).click({ delay: 70 });
    await expect(page.getByText('Wrenfield family')).toBeVisible();
    await page.getByRole('button', { name: 'Freeze Rook family' }).click({ delay: 70 });
    await expect(page.getByRole('listitem').filter({ hasText: 'Rook family' })).toContainText('frozen');

    await page.getByRole('button', { name: 'Make all their files' }).click({ delay: 70 });
    await expect(page.getByText('2 of 2 files')).toBeVisible();
    await expect(page.getByText('wrenfield-family.png')).toBeVisible();
});

test('events, a plan that goes back from them, an idea that becomes a job', async ({ page, quiet }) => {
    quiet.allow.push(/422/);
    await page.goto('/calendar');
    await expect(page.getByText('Without Family names all the others can.')).toBeVisible();
    await page.getByRole('button', { name: 'Drop Family names' }).click({ delay: 70 });
    await expect(page.getByText('Without Family names all the others can.')).toBeHidden();
    await page.getByRole('button', { name: 'Take up again Family names' }).click({ delay: 70 });

    const events = page.getByRole('region', { name: 'Days to come' });
    await events.getByRole('textbox', { name: 'A day of my own' }).fill('Weir walk');
    await events.getByLabel('First on').fill('2026-03-14');
    await events.getByRole('textbox', { name: /Again by rule/ }).fill('FREQ=NOW');
    await events.getByRole('button', { name: 'Add it' }).click({ delay: 70 });
    await expect(events.getByText('This rule is not understood', { exact: false })).toBeVisible();
    await events.getByRole('textbox', { name: /Again by rule/ }).fill('FREQ=YEARLY');
    await events.getByRole('button', { name: 'Add it' }).click({ delay: 70 });
    await expect(events.getByRole('listitem').filter({ hasText: 'Weir walk' })).toContainText('Mar 14');

    const ideas = page.getByRole('region', { name: 'Ideas' });
    await ideas.getByRole('textbox', { name: 'A line of words' }).fill('Mind the weir');
    await ideas.getByRole('button', { name: 'Keep the idea' }).click({ delay: 70 });
    await ideas.getByRole('button', { name: 'Make a job of: Mind the weir' }).click({ delay: 70 });
    await expect(page).toHaveURL(/\/build$/);
    await expect(page.getByRole('banner')).toContainText('Mind the weir');
    await page.goto('/');
    await expect(page.getByRole('status').filter({ hasText: /Gather for|licence|Draw/ }).first()).toBeVisible();
});
