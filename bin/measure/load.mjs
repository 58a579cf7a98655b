// Asks as sellers' browsers do and prints how long the answers took. bin/load starts the server that it asks.
const [base, pass, what, first, second] = process.argv.slice(2);
const times = new Map();
const failures = new Map();
const cookies = new Map();

function remember(response) {
    for (const line of response.headers.getSetCookie()) {
        const [name, ...value] = line.split(';')[0].split('=');
        cookies.set(name, value.join('='));
    }
}

async function ask(kind, method, path, body) {
    const began = performance.now();
    let status = 0;
    let answer = null;
    try {
        const response = await fetch(`${base}/api/${path}`, {
            method,
            headers: {
                Accept: 'application/json',
                'Content-Type': 'application/json',
                Cookie: [...cookies].map(([name, value]) => `${name}=${value}`).join('; '),
                'X-XSRF-TOKEN': decodeURIComponent(cookies.get('XSRF-TOKEN') ?? ''),
            },
            body: body === undefined ? undefined : JSON.stringify(body),
        });
        status = response.status;
        answer = response.headers.get('content-type')?.includes('json') ? await response.json() : (await response.arrayBuffer()).byteLength;
    } catch (error) {
        answer = error.message;
    }
    if (!times.has(kind)) {
        times.set(kind, []);
    }
    times.get(kind).push(performance.now() - began);
    if (status < 200 || status > 299) {
        const told = `${kind}: ${status} ${typeof answer === 'string' ? answer : (answer?.message ?? '')}`;
        failures.set(told, (failures.get(told) ?? 0) + 1);
        return null;
    }
    return answer;
}

async function enter() {
    remember(await fetch(`${base}/`));
    const response = await fetch(`${base}/api/session/enter`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json', Accept: 'application/json', Cookie: [...cookies].map(([n, v]) => `${n}=${v}`).join('; '), 'X-XSRF-TOKEN': decodeURIComponent(cookies.get('XSRF-TOKEN')) },
        body: JSON.stringify({ pass }),
    });
    if (!response.ok) {
        throw new Error(`The link opened nothing: ${response.status}`);
    }
    remember(response);
}

function report(seconds) {
    console.log(`${'what'.padEnd(10)}${'asked'.padStart(8)}${'a second'.padStart(10)}${'median'.padStart(10)}${'p95'.padStart(10)}${'most'.padStart(10)}`);
    for (const [kind, taken] of times) {
        taken.sort((a, b) => a - b);
        const at = (share) => `${(taken[Math.min(taken.length - 1, Math.floor(share * taken.length))] / 1000).toFixed(3)} s`;
        console.log(`${kind.padEnd(10)}${String(taken.length).padStart(8)}${(taken.length / seconds).toFixed(1).padStart(10)}${at(0.5).padStart(10)}${at(0.95).padStart(10)}${at(1).padStart(10)}`);
    }
    const failed = [...failures.values()].reduce((sum, count) => sum + count, 0);
    console.log(`${failed} of ${[...times.values()].reduce((sum, taken) => sum + taken.length, 0)} failed in ${seconds.toFixed(0)} s`);
    for (const [told, count] of failures) {
        console.log(`  ${count} × ${told}`);
    }
    process.exitCode = failed === 0 ? 0 : 1;
}

/** Several savers, each on its own copy of a sheet, as fast as they are answered; exports begin all along. */
async function saves(savers, count) {
    const cards = await ask('jobs', 'GET', 'jobs');
    let left = count;
    let busy = true;
    const exporting = (async () => {
        while (busy) {
            await ask('export', 'POST', `jobs/${cards[0].id}/exports`);
            await new Promise((done) => setTimeout(done, 1500));
        }
    })();
    const saver = async (number) => {
        const job = await ask('job', 'GET', `jobs/${cards[number % cards.length].id}`);
        // Each saver has a sheet of its own: two who save the same one refuse each other, as they should.
        const copy = await ask('start', 'POST', 'jobs', { title: `Saver ${number}`, product: 'tee', side: 'front', method: 'dtg', rule: 'strict-300', garments: [{ name: 'Black', colour: '#111111' }], area: { name: 'Load', width: 3600, height: 3600, ppi: 300 } });
        let version = copy.version;
        const sheet = { ...job.artwork, sheet: copy.artwork.sheet };
        while (left-- > 0) {
            const answer = await ask('save', 'PUT', `jobs/${copy.id}/artwork`, { version, artwork: { ...sheet, title: `Saver ${number}, ${left}` } });
            version = answer?.version ?? version;
        }
    };
    const began = performance.now();
    await Promise.all(Array.from({ length: savers }, (_, number) => saver(number)));
    const seconds = (performance.now() - began) / 1000;
    busy = false;
    await exporting;
    report(seconds);
}

/** Sellers who open a job, nudge a layer, wait for its proof and its gauges, look at the list, and now and then export. */
async function users(count, seconds) {
    const cards = await ask('jobs', 'GET', 'jobs');
    // Sellers have had their sheets open before: what is kept of them is there.
    for (const card of cards) {
        await ask('first', 'GET', `revisions/${card.revision}/proof.png?ppi=60`);
    }
    const ends = performance.now() + seconds * 1000;
    const seller = async (number) => {
        const from = await ask('job', 'GET', `jobs/${cards[number % cards.length].id}`);
        const [width, height] = [from.artwork.sheet.width, from.artwork.sheet.height];
        const started = await ask('start', 'POST', 'jobs', { title: `Seller ${number}`, product: 'tee', side: 'front', method: 'dtg', rule: 'strict-300', garments: from.artwork.garments, area: { name: 'Load', width, height, ppi: from.artwork.sheet.ppi } });
        let job = await ask('copy', 'PUT', `jobs/${started.id}/artwork`, { version: started.version, artwork: { ...from.artwork, title: `Seller ${number}` } });
        for (let turn = 1; job !== null && performance.now() < ends; turn++) {
            const layer = job.artwork.layers[turn % job.artwork.layers.length];
            job = (await ask('save', 'POST', `jobs/${job.id}/operations`, { version: job.version, operations: [{ op: 'move', ids: [layer.id], dx: 0.1, dy: 0.05 }] })) ?? job;
            await ask('proof', 'GET', `revisions/${job.revision}/proof.png?ppi=60`);
            if (turn % 3 === 0) {
                await ask('gauges', 'GET', `revisions/${job.revision}/preflight`);
            }
            if (turn % 5 === 0) {
                await ask('jobs', 'GET', 'jobs');
            }
            if (turn % 20 === 0) {
                await ask('export', 'POST', `jobs/${job.id}/exports`);
            }
            await new Promise((done) => setTimeout(done, 500 + Math.random() * 1000));
        }
    };
    const began = performance.now();
    await Promise.all(Array.from({ length: count }, (_, number) => seller(number)));
    report((performance.now() - began) / 1000);
}

await enter();
await (what === 'saves' ? saves(Number(first || 8), Number(second || 10_000)) : users(Number(first || 20), Number(second || 60)));
