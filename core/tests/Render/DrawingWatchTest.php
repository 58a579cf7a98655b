<?php

declare(strict_types=1);

use TallCrow\Render\DrawingSetAside;
use TallCrow\Render\DrawingWatch;
use TallCrow\Tests\Fixtures;

/** Draws in a process of its own, which is killed in the middle, as a limit of time or memory ends one. */
function killedWhileDrawing(string $folder, string $outer, string $inner): void
{
    $code = sprintf(
        'require %s; $w = new TallCrow\Render\DrawingWatch(%s); $w->during(%s, fn () => [$w->during("fine", fn () => 1), $w->during(%s, fn () => posix_kill(getmypid(), 9))]);',
        var_export(dirname(__DIR__, 3).'/vendor/autoload.php', true), var_export($folder, true), var_export($outer, true), var_export($inner, true),
    );
    exec(sprintf('%s -r %s 2>/dev/null', escapeshellarg(PHP_BINARY), escapeshellarg($code)));
}

it('sets a drawing aside that ended its process twice, and draws all others', function (): void {
    $folder = sys_get_temp_dir().'/tall-crow-watch-'.getmypid();
    try {
        killedWhileDrawing($folder, 'group', 'knot');
        expect((new DrawingWatch($folder))->during('knot', fn (): string => 'drawn'))->toBe('drawn');
        killedWhileDrawing($folder, 'group', 'knot');
        $watch = new DrawingWatch($folder);
        expect(fn () => $watch->during('knot', fn (): string => 'drawn'))->toThrow(DrawingSetAside::class, 'left out')
            ->and($watch->during('group', fn (): string => 'drawn'))->toBe('drawn')
            ->and($watch->during('fine', fn (): string => 'drawn'))->toBe('drawn');
        // A day later it may be tried once more.
        touch($folder.'/stopped-'.sha1('knot'), time() - 90_000);
        expect($watch->during('knot', fn (): string => 'drawn'))->toBe('drawn');
    } finally {
        array_map(unlink(...), glob($folder.'/*') ?: []);
        @rmdir($folder);
    }
});

it('counts a request that ended while its process lives on', function (): void {
    $folder = sys_get_temp_dir().'/tall-crow-watch-'.getmypid();
    try {
        $note = '';
        (new DrawingWatch($folder))->during('knot', function () use ($folder, &$note): void {
            $note = (string) (glob($folder.'/busy-*')[0] ?? '');
        });
        foreach (range(1, 2) as $_) {
            // As a request leaves it that ran out of memory.
            file_put_contents($note, sha1('knot'));
            $watch = new DrawingWatch($folder);
        }
        expect(fn () => $watch->during('knot', fn (): string => 'drawn'))->toThrow(DrawingSetAside::class);
    } finally {
        array_map(unlink(...), glob($folder.'/*') ?: []);
        @rmdir($folder);
    }
});

it('counts nothing against a drawing that failed by itself, or whose process is at work', function (): void {
    $folder = sys_get_temp_dir().'/tall-crow-watch-'.getmypid();
    try {
        $watch = new DrawingWatch($folder);
        foreach (range(1, 3) as $_) {
            expect(fn () => $watch->during('knot', fn () => throw new RuntimeException('no such font')))->toThrow('no such font');
        }
        $watch->during('knot', function () use ($folder): void {
            new DrawingWatch($folder);
            new DrawingWatch($folder);
        });
        expect(glob($folder.'/stopped-*'))->toBe([])
            ->and(file_get_contents((string) (glob($folder.'/busy-*')[0] ?? '')))->not->toMatch('/[0-9a-f]/');
    } finally {
        array_map(unlink(...), glob($folder.'/*') ?: []);
        @rmdir($folder);
    }
});

it('holds no more notes open than are written on, however many shops a process serves', function (): void {
    $folder = Fixtures::temporary('watch');
    $open = fn (): int => count(array_filter(scandir('/proc/self/fd') ?: [], fn (string $fd): bool => str_starts_with((string) Fixtures::silently(fn () => readlink("/proc/self/fd/$fd")), $folder)));
    foreach (range(1, 20) as $shop) {
        (new DrawingWatch("$folder/$shop"))->during('knot', fn () => (new DrawingWatch("$folder/inner"))->during('bow', fn (): string => 'drawn'));
    }
    expect($open())->toBeLessThanOrEqual(2)->and((new DrawingWatch("$folder/3"))->during('knot', fn (): string => 'drawn'))->toBe('drawn');
});
