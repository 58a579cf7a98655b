import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { addLine, expect, newJob, saved, test } from './bench';

test('a house is noted, read from a table, and a job goes to it with what a refit does told before', async ({ page, quiet }) => {
    quiet.allow.push(/422/);
    await page.goto('/houses');
    await page.getByRole('button', { name: 'Note a house' }).click({ delay: 70 });
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('button', { name: 'Keep this house' }).click({ delay: 70 });
    await expect(dialog.getByText('Is blank: a house needs a name.')).toBeVisible();
    await expect(dialog.getByLabel('Name of the house')).toBeFocused();
    await dialog.getByLabel('Name of the house').fill('Weir Press');
    await dialog.getByRole('button', { name: 'Add a place' }).click({ delay: 70 });
    await dialog.getByLabel('Product, as the house calls it').fill('Boxy tee');
    await dialog.getByRole('textbox', { name: 'width of place 1' }).fill('200 mm');
    await dialog.getByRole('textbox', { name: 'width of place 1' }).press('Enter');
    await expect(dialog.getByText('2362 × 4800 px')).toBeVisible();
    await dialog.getByLabel('Cloths, such as').fill('Slate #3d4a57, Oat');
    await dialog.getByLabel('Cloths, such as').press('Tab');
    await dialog.getByRole('button', { name: 'Keep this house' }).click({ delay: 70 });
    await expect(dialog.locator('.house-cloths')).toContainText('"Oat" is not a colour.');
    await expect(dialog.getByLabel('Cloths, such as')).toHaveValue('Slate #3d4a57, Oat');
    await dialog.getByLabel('Cloths, such as').fill('Slate #3d4a57, Oat #e4d9c3');
    await dialog.getByLabel('Cloths, such as').press('Tab');
    await dialog.getByRole('textbox', { name: 'Smallest letters, in' }).fill('0.06');
    await dialog.getByRole('button', { name: 'Keep this house' }).click({ delay: 70 });
    await expect(dialog.getByRole('heading', { name: 'Weir Press' })).toBeVisible();
    const table = join(mkdtempSync(join(tmpdir(), 'crow-')), 'areas.csv');
    writeFileSync(table, 'product,place,width,height,ppi,margin\nFilm,sheet,4 in,5 in,100,0.1 in\nMug,wrap,wide,2 in,300,\n');
    await dialog.locator('.house-files input[type=file]').setInputFiles(table);
    await expect(dialog.getByText(/Row 3, column width/)).toBeVisible();
    await dialog.getByRole('button', { name: 'Close' }).click({ delay: 70 });
    await expect(page.getByRole('article').filter({ hasText: 'Weir Press' })).toContainText('Film');

    const path = await newJob(page, 'Weir day');
    await addLine(page, 'shape', 'Draw a shape');
    await page.goto(path.replace('/build', '/brief'));
    const goes = page.getByRole('region', { name: 'Houses that it goes to' });
    await expect(goes.getByText('It goes to no house yet')).toBeVisible();
    for (const place of ['Weir Press: Boxy tee, front', 'Weir Press: Film, sheet']) {
        await goes.getByRole('combobox', { name: 'A house and a place' }).click({ delay: 70, force: true });
        await page.getByRole('option', { name: place }).click({ delay: 70 });
        await goes.getByRole('button', { name: 'Send it there' }).click({ delay: 70 });
        await expect(goes.getByText(place.slice(12))).toBeVisible();
    }
    const film = goes.getByRole('listitem').filter({ hasText: 'Film, sheet' });
    await expect(film).toContainText('33 % of its size');
    await film.getByRole('combobox', { name: 'Fitted' }).click({ delay: 70, force: true });
    await page.getByRole('option', { name: 'keeping its inches, in the middle' }).click({ delay: 70 });
    await expect(film).toContainText('of the ink fall off the sheet.');
    await film.getByRole('combobox', { name: 'Fitted' }).click({ delay: 70, force: true });
    await page.getByRole('option', { name: 'by its ink, within the margin' }).click({ delay: 70 });
    await expect(film).toContainText('Nothing falls off');

    await page.getByRole('link', { name: 'Send' }).click({ delay: 70 });
    await page.getByRole('button', { name: 'Make all 2 files' }).click({ delay: 70 });
    await expect(page.getByText('2 of 2 files')).toBeVisible();
    const [zip] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'All of them in one zip' }).click({ delay: 70 })]);
    const bytes = readFileSync(await zip.path());
    expect(bytes.includes('weir-day-film-sheet.png')).toBe(true);
    expect(bytes.includes('weir-day-boxy-tee-front.png')).toBe(true);
    await page.goto(path);
    await saved(page);
});

test('designs are laid on film, the film is made and noted in the log, and a listing shows every cloth', async ({ page }) => {
    await newJob(page, 'Film of the weir');
    await addLine(page, 'shape', 'Draw a shape');
    await page.goto('/transfers');
    await page.getByRole('combobox', { name: 'A design' }).click({ delay: 70, force: true });
    await page.getByRole('option', { name: 'Film of the weir' }).click({ delay: 70 });
    await page.getByRole('button', { name: 'Lay it' }).click({ delay: 70 });
    await page.getByLabel('How many of Film of the weir').fill('3');
    await page.getByLabel('Width in inches of Film of the weir').first().fill('2');
    await page.keyboard.press('Tab');
    await expect(page.getByRole('region', { name: 'Layout' })).toContainText('2.50 in of film');
    await page.getByRole('button', { name: 'Make the film' }).click({ delay: 70 });
    const [film] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'film-1.png' }).first().click({ delay: 70, timeout: 60_000 })]);

    await page.goto('/log');
    await expect(page.getByRole('row', { name: /Film: 3 × Film of the weir/ })).toBeVisible();
    await page.locator('main input[type=file]').setInputFiles(await film.path());
    await expect(page.locator('.log-found')).toContainText('Film: 3 × Film of the weir');

    await page.goto('/');
    await page.getByRole('link', { name: 'Tide-pool rangers, chest badge' }).click({ delay: 70 });
    await page.getByRole('link', { name: 'Send' }).click({ delay: 70 });
    const listing = page.getByRole('region', { name: 'Pictures for the listing' });
    await expect(listing.locator('img').first()).toBeVisible();
    const [picture] = await Promise.all([page.waitForEvent('download'), listing.getByRole('listitem').first().getByRole('link').click({ delay: 70 })]);
    expect(readFileSync(await picture.path()).subarray(0, 3).toString('hex')).toBe('ffd8ff');
});

test('the words of a listing are kept as they are written, and counted against the seller\'s own limits', async ({ page }) => {
    await newJob(page, 'Weir at dusk');
    await page.getByRole('link', { name: 'Send' }).click({ delay: 70 });
    const words = page.getByRole('region', { name: 'Words for the listing' });
    await expect(words.getByRole('textbox', { name: 'Title', exact: true })).toHaveValue('Weir at dusk');
    // The first keeping is slow: what is written meanwhile is kept after it.
    let first = true;
    await page.route('**/listing', async (route) => {
        if (first && route.request().method() === 'PUT') {
            first = false;
            await new Promise((done) => setTimeout(done, 2500));
        }
        await route.continue();
    });
    await words.getByRole('textbox', { name: 'Characters, title' }).fill('20');
    await words.getByRole('textbox', { name: 'Title', exact: true }).fill('Weir at dusk, a soft tee');
    await words.getByRole('combobox', { name: 'Tags, ended by a comma' }).pressSequentially('weir,dusk,');
    await words.getByRole('textbox', { name: 'Description' }).fill('Printed at Quarry Road.');
    await words.getByRole('textbox', { name: 'Title', exact: true }).focus();
    await expect(words.getByRole('list', { name: 'What to look at in these words' })).toContainText('Title: 24 characters, 20 at most.');
    await expect(words.getByRole('status').filter({ hasText: 'Kept.' })).toBeVisible();

    await page.reload();
    await expect(words.getByRole('textbox', { name: 'Description' })).toHaveValue('Printed at Quarry Road.');
    await expect(words.getByText('2 tags', { exact: true })).toBeVisible();
    const [file] = await Promise.all([page.waitForEvent('download'), words.getByRole('link', { name: 'These words as CSV' }).click({ delay: 70 })]);
    expect(readFileSync(await file.path(), 'utf8')).toBe('title,description,tags,credits\r\n"Weir at dusk, a soft tee","Printed at Quarry Road.","weir, dusk",\r\n');
});

test('a file is brought to a house, which measures the same and says that it printed; a listing is noted', async ({ page }) => {
    const path = await newJob(page, 'Lantern walk');
    await addLine(page, 'shape', 'Draw a shape');
    await saved(page);
    await page.goto(path.replace('/build', '/send'));
    const goes = page.getByRole('region', { name: 'Houses that it goes to' });
    for (const place of ['Bramble Market: Tote, front', 'Mill Lane Print: Heavy tee, sleeve']) {
        await goes.getByRole('combobox', { name: 'A house and a place' }).click({ delay: 70, force: true });
        await page.getByRole('option', { name: place }).click({ delay: 70 });
        await goes.getByRole('button', { name: 'Send it there' }).click({ delay: 70 });
    }
    await page.getByRole('button', { name: 'Make all 2 files' }).click({ delay: 70 });
    await expect(page.getByText('2 of 2 files')).toBeVisible();
    await page.getByRole('button', { name: 'Bring them to their houses' }).click({ delay: 70 });
    const told = page.getByRole('region', { name: 'What the houses say' });
    const market = told.getByRole('listitem').filter({ hasText: 'Bramble Market' });
    await expect(market).toContainText('6 figures, the same on both sides');
    await market.getByText('6 figures').click({ delay: 70 });
    await expect(market.getByRole('row', { name: /pixels/ })).toContainText('3300 × 3600');
    await expect(told.getByRole('listitem').filter({ hasText: 'Mill Lane' })).toContainText('asks for a token');

    await page.goto('/houses');
    const lane = page.getByRole('article').filter({ hasText: 'Mill Lane Print' });
    await lane.getByText('Files reach it by a service').click({ delay: 70 });
    await lane.getByLabel('Token, if it asks for one').fill('lantern-and-rook');
    await lane.getByRole('button', { name: 'Keep the way' }).click({ delay: 70 });
    await expect(lane.getByRole('status')).toHaveText('Kept.');
    await page.goto(path.replace('/build', '/send'));
    await page.getByRole('button', { name: 'Bring them to their houses' }).click({ delay: 70 });
    await expect(told.getByRole('listitem').filter({ hasText: 'Mill Lane' })).toContainText('the same on both sides');
    await expect(market).toContainText('printed');

    const listed = page.getByRole('region', { name: 'Where it is listed' });
    await listed.getByRole('textbox', { name: 'Market' }).fill('Bramble Market');
    await listed.getByRole('textbox', { name: 'Address' }).fill('https://market.example/lantern-walk');
    await listed.getByRole('textbox', { name: 'Price' }).fill('24.00 EUR');
    await listed.getByRole('button', { name: 'Note it' }).click({ delay: 70 });
    await expect(listed.getByRole('listitem')).toContainText('listed at Bramble Market');
    await page.goto('/log');
    await expect(page.getByRole('row').filter({ hasText: 'Lantern walk' }).first()).toContainText('24.00 EUR');
});
