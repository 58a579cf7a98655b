<?php

declare(strict_types=1);

use App\Bench\Saving;
use App\Models\PrintJob;
use Illuminate\Support\Facades\DB;
use TallCrow\Tests\Fixtures;

/** The sheet of a job with other layers. */
function sheet_with(PrintJob $job, array $layers): array
{
    return ['layers' => $layers] + $job->head->read()->toArray();
}

it('saves a sheet, and steps back and forth over what was saved', function (): void {
    $job = $this->job();
    $first = $this->putJson("/api/jobs/{$job->id}/artwork", ['version' => 1, 'artwork' => sheet_with($job, [Fixtures::shape('one', 'ellipse', 1)])])->assertOk()->json();
    expect($first)->toMatchArray(['version' => 2, 'canUndo' => true, 'canRedo' => false])->and($first['measures'][0])->toMatchArray(['id' => 'one', 'width' => 1, 'ppi' => null]);
    $second = $this->putJson("/api/jobs/{$job->id}/artwork", ['version' => 2, 'artwork' => sheet_with($job, [Fixtures::shape('one', 'star', 2)])])->json();

    $back = $this->postJson("/api/jobs/{$job->id}/undo", ['version' => 3])->assertOk()->json();
    expect($back['revision'])->toBe($first['revision'])->and($back['canRedo'])->toBeTrue()->and($back['version'])->toBe(4);
    $forth = $this->postJson("/api/jobs/{$job->id}/redo", ['version' => 4])->json();
    expect($forth['revision'])->toBe($second['revision'])->and($forth['canRedo'])->toBeFalse();

    // A change after a step back leaves the other branch; nothing of it is lost from the record.
    $this->postJson("/api/jobs/{$job->id}/undo", ['version' => 5]);
    $branch = $this->putJson("/api/jobs/{$job->id}/artwork", ['version' => 6, 'artwork' => sheet_with($job, [Fixtures::shape('two', 'ring', 1)])])->json();
    expect($branch['canRedo'])->toBeFalse()->and($job->revisions()->count())->toBe(4);
});

it('steps forward into the branch that was left last', function (): void {
    $job = $this->job();
    $save = fn (int $version, string $shape): array => $this->putJson("/api/jobs/{$job->id}/artwork", ['version' => $version, 'artwork' => sheet_with($job, [Fixtures::shape('one', $shape, 1)])])->assertOk()->json();
    $save(1, 'ellipse');
    $this->postJson("/api/jobs/{$job->id}/undo", ['version' => 2])->assertOk();
    $star = $save(3, 'star');
    $this->postJson("/api/jobs/{$job->id}/undo", ['version' => 4])->assertOk();
    expect($this->postJson("/api/jobs/{$job->id}/redo", ['version' => 5])->json('revision'))->toBe($star['revision']);
});

it('makes no step of a save that changes nothing', function (): void {
    $job = $this->job([Fixtures::shape('one', 'ellipse', 1)]);
    $answer = $this->putJson("/api/jobs/{$job->id}/artwork", ['version' => 1, 'artwork' => $job->head->read()->toArray()])->assertOk()->json();
    expect($answer['version'])->toBe(1)->and($job->revisions()->count())->toBe(1);
});

it('never lets one tab overwrite another', function (string $action): void {
    $job = $this->job();
    $this->putJson("/api/jobs/{$job->id}/artwork", ['version' => 1, 'artwork' => sheet_with($job, [Fixtures::shape('mine', 'ellipse', 1)])])->assertOk();
    $answer = $action === 'save'
        ? $this->putJson("/api/jobs/{$job->id}/artwork", ['version' => 1, 'artwork' => sheet_with($job, [])])
        : $this->postJson("/api/jobs/{$job->id}/$action", ['version' => 1]);
    $answer->assertConflict()->assertJsonPath('version', 2);
    expect($answer->json('message'))->toContain('changed in another tab');
    $this->getJson("/api/jobs/{$job->id}")->assertJsonPath('artwork.layers.0.id', 'mine');
})->with(['save', 'undo', 'redo']);

it('answers each fault of a bad sheet, and what was saved stays', function (): void {
    $job = $this->job([Fixtures::shape('one', 'ellipse', 1)]);
    $answer = $this->putJson("/api/jobs/{$job->id}/artwork", ['version' => 1, 'artwork' => sheet_with($job, [['id' => 'x', 'source' => ['kind' => 'shape', 'shape' => 'blob'], 'placement' => ['x' => 1, 'y' => 1, 'width' => -1, 'height' => null]]])]);
    $answer->assertUnprocessable();
    expect(array_column($answer->json('faults'), 'path'))->toContain('layers[0].source.shape', 'layers[0].placement.width');
    $this->getJson("/api/jobs/{$job->id}")->assertJsonPath('artwork.layers.0.source.shape', 'ellipse')->assertJsonPath('version', 1);
    $this->putJson("/api/jobs/{$job->id}/artwork", ['version' => 1])->assertUnprocessable();
});

it('keeps words as they were typed, blanks and all', function (): void {
    $this->shelve('alfa-slab-one.woff2');
    $job = $this->job();
    $saved = $this->putJson("/api/jobs/{$job->id}/artwork", ['version' => 1, 'artwork' => sheet_with($job, [Fixtures::words('w', "  KITE \nDAY ", 2)])])->assertOk();
    expect($saved->json('artwork.layers.0.source.text'))->toBe("  KITE \nDAY ");
});

it('tells on its line what cannot be drawn', function (): void {
    $this->shelve('alfa-slab-one.woff2');
    $job = $this->job([Fixtures::words('w', 'жук', 2), Fixtures::shape('s', 'ellipse', 1)]);
    $bench = $this->getJson("/api/jobs/{$job->id}")->json('measures');
    expect($bench[0]['trouble'])->toContain('has no ж')->and($bench[1]['trouble'])->toBeNull();
    $this->get("/api/revisions/{$job->head_id}/proof.png")->assertOk();
});

it('begins a save again when another process wrote in between', function (): void {
    $file = Fixtures::temporary('database').'/shop.sqlite';
    touch($file);
    config(['database.connections.shared' => ['database' => $file] + config('database.connections.sqlite')]);
    $old = DB::getDefaultConnection();
    DB::setDefaultConnection('shared');
    try {
        DB::statement('create table kites (id integer, flown integer)');
        DB::statement('insert into kites values (1, 0)');
        $other = new PDO("sqlite:$file");
        $tries = 0;
        $read = Saving::once(function () use ($other, &$tries): int {
            $flown = (int) DB::scalar('select flown from kites');
            // The other process writes after this one has read.
            if (++$tries === 1) {
                $other->exec('update kites set flown = 5');
            }
            DB::update('update kites set flown = ?', [$flown + 1]);

            return $flown;
        });
        expect($tries)->toBe(2)->and($read)->toBe(5)->and((int) DB::scalar('select flown from kites'))->toBe(6);
    } finally {
        DB::setDefaultConnection($old);
        DB::purge('shared');
    }
});
