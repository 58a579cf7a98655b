<?php

declare(strict_types=1);

use App\Files\ShopFiles;
use Illuminate\Support\Facades\Storage;
use TallCrow\Tests\Fixtures;

beforeEach(function (): void {
    config(['crow.disk' => 'store', 'filesystems.disks.store' => ['driver' => 'local', 'root' => sys_get_temp_dir().'/tall-crow-testing-'.getmypid().'/store']]);
    $this->shelve('moth.svg');
    $this->local = $this->shop->folder('assets').'/moth.svg';
});

afterEach(fn () => Storage::forgetDisk('store'));

it('brings from the store what this machine does not have or has of another time', function (string $spoil): void {
    $whole = (string) file_get_contents($this->local);
    match ($spoil) {
        'gone' => unlink($this->local),
        'shorter' => file_put_contents($this->local, 'half'),
        'older' => touch($this->local, 1000),
    };
    $spoil === 'older' && file_put_contents($this->local, strrev($whole)) && touch($this->local, 1000);
    ShopFiles::of($this->shop)->shelf();
    expect(file_get_contents($this->local))->toBe($whole);
})->with(['gone', 'shorter', 'older']);

it('leaves what is here alone', function (): void {
    Storage::disk('store')->put("{$this->shop->id}/assets/moth.svg", 'of another');
    $before = file_get_contents($this->local);
    ShopFiles::of($this->shop)->shelf();
    expect(file_get_contents($this->local))->toBe($before);
});

it('draws what is left when the store lost a file', function (): void {
    $this->shelve('raven.svg');
    $this->loseFile('moth.svg');
    unlink($this->shop->folder('assets').'/raven.svg');
    ShopFiles::of($this->shop)->shelf();
    expect(is_file($this->shop->folder('assets').'/raven.svg'))->toBeTrue()->and(is_file($this->local))->toBeFalse();
});

it('refuses an upload that a silent store did not take, and keeps no trace of it', function (): void {
    config(['filesystems.disks.store' => ['driver' => 's3', 'key' => 'a', 'secret' => 'b', 'region' => 'us-east-1', 'bucket' => 'c', 'endpoint' => 'http://127.0.0.1:9', 'retries' => 0]]);
    Storage::forgetDisk('store');
    $file = new Illuminate\Http\UploadedFile(Fixtures::assets().'/raven.svg', 'raven.svg', test: true);
    $this->post('/api/assets', ['file' => $file, 'licence' => 'CC0-1.0', 'held' => '1'], ['Accept' => 'application/json'])
        ->assertStatus(503)->assertJsonPath('message', fn (string $said): bool => str_contains($said, 'did not take assets/raven.svg'));
    expect($this->shop->assets()->pluck('file')->all())->toBe(['moth.svg'])->and(is_file($this->shop->folder('assets').'/raven.svg'))->toBeFalse();
});
