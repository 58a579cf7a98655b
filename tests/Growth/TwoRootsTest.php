<?php

declare(strict_types=1);

use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use Tests\Growth\Root;

// Run by bin/test engines, which starts PostgreSQL, Redis and a store of the S3 kind and names them in the environment.

/** @return array<mixed> */
function asked(Client $browser, CookieJar $cookies, string $method, string $path, mixed $body = null, array $more = []): array
{
    $token = urldecode((string) $cookies->getCookieByName('XSRF-TOKEN')?->getValue());
    $answer = $browser->request($method, "api/$path", ['headers' => ['X-XSRF-TOKEN' => $token]] + ($body === null ? [] : ['json' => $body]) + $more);
    $read = json_decode((string) $answer->getBody(), true);
    assert(is_array($read));

    return $read;
}

beforeEach(function (): void {
    $this->folder = sys_get_temp_dir().'/tall-crow-roots-'.getmypid();
    $this->one = Root::at("$this->folder/one", 8471);
    $this->two = Root::at("$this->folder/two", 8472);
});

afterEach(function (): void {
    $this->one->kill();
    $this->two->kill();
    exec('rm -rf '.escapeshellarg($this->folder));
});

it('goes on with one root when the other is killed in the middle of an export', function (): void {
    $this->one->artisan('migrate:fresh', '--force', '--seed');
    $this->one->start();
    $this->two->start();

    // Signed in at the first, known at the second.
    $cookies = new CookieJar;
    [$first, $second] = [$this->one->browser($cookies), $this->two->browser($cookies)];
    $first->get('');
    $pass = basename($this->one->artisan('crow:link'));
    asked($first, $cookies, 'POST', 'session/enter', ['pass' => $pass]);
    expect(asked($second, $cookies, 'GET', 'me')['name'] ?? null)->not->toBeNull();

    // A picture that came in at the first is drawn by either.
    $picture = "$this->folder/lamp.png";
    exec('convert -size 400x400 plasma:fractal PNG32:'.escapeshellarg($picture));
    $asset = asked($first, $cookies, 'POST', 'assets', null, ['multipart' => [
        ['name' => 'file', 'contents' => fopen($picture, 'rb'), 'filename' => 'lamp.png'],
        ['name' => 'licence', 'contents' => 'CC0-1.0'], ['name' => 'author', 'contents' => 'Wren'], ['name' => 'held', 'contents' => '1'],
    ]])[0];
    $started = asked($second, $cookies, 'POST', 'jobs', [
        'title' => 'Lamp', 'product' => 'tee', 'side' => 'front', 'method' => 'dtg', 'rule' => 'strict-300', 'garments' => [['name' => 'Night', 'colour' => '#202020']],
        'area' => ['name' => 'Chest', 'width' => 4000, 'height' => 4000, 'ppi' => 300],
    ]);
    $sheet = $started['artwork'];
    $sheet['layers'] = [['id' => 'lamp', 'source' => ['kind' => 'art', 'file' => $asset['file']], 'placement' => ['x' => 6, 'y' => 6, 'width' => 10]]];
    asked($second, $cookies, 'PUT', "jobs/{$started['id']}/artwork", ['version' => $started['version'], 'artwork' => $sheet]);

    $exports = [];
    foreach ([$first, $second, $first, $second, $first] as $browser) {
        $exports[] = asked($browser, $cookies, 'POST', "jobs/{$started['id']}/exports")['id'];
    }

    // The first root dies while it makes one of them; where the second is quick enough to take all, there are more.
    $ends = time() + 600;
    $asks = time() + 6;
    $died = null;
    while ($died === null && time() < $ends) {
        $made = array_values(array_filter($exports, fn (int $export): bool => $this->one->makes($export)));
        $died = $made[0] ?? null;
        if ($died === null && time() >= $asks) {
            $exports[] = asked($first, $cookies, 'POST', "jobs/{$started['id']}/exports")['id'];
            $asks = time() + 2;
        }
        usleep(10_000);
    }
    $state = $this->one->state();
    $this->one->kill();
    expect($died)->toBeInt("The first root made nothing: $state");

    $states = [];
    $ends = time() + 600;
    while ($states !== array_fill_keys($exports, 'done') && time() < $ends) {
        usleep(300_000);
        $states = array_column(asked($second, $cookies, 'GET', "jobs/{$started['id']}/exports"), 'state', 'id');
        ksort($states);
    }
    expect($states)->toBe(array_fill_keys($exports, 'done'));

    // Whoever made it, the other hands it out, and all are alike.
    $files = array_map(fn (int $export): string => (string) $second->get("api/exports/$export/file")->getBody(), $exports);
    expect(array_unique(array_map(md5(...), $files)))->toHaveCount(1)->and(getimagesizefromstring($files[0]))->toMatchArray([0 => 4000, 1 => 4000, 'mime' => 'image/png']);
});
