<?php

declare(strict_types=1);

use App\Jobs\CheckSeries;
use App\Jobs\ExportArtwork;
use App\Models\Export;
use App\Models\ExportState;
use App\Models\LogEntry;
use App\Models\PrintJob;
use App\Models\SeriesRow;
use Illuminate\Support\Facades\Queue;
use TallCrow\Tests\Fixtures;

const NAME_SLOT = ['name' => 'Name', 'places' => ['name/source/text'], 'fit' => ['keep' => 'box', 'least' => 0.4]];

/** A job with a name over a disc, as a pattern. */
function patternJob(object $test, array $slots = [NAME_SLOT], string $title = '{Name} family'): PrintJob
{
    $test->shelve('alfa-slab-one.woff2');
    $job = $test->job([Fixtures::shape('disc', 'ellipse', 1.0, '#d9a441', ['placement' => ['y' => 2.8, 'height' => 1.0]]), Fixtures::words('name', 'Wren', 2.4, ['placement' => ['y' => 1]])], 'Families');
    $test->putJson("/api/jobs/{$job->id}/series", ['pattern' => json_encode(['format' => 'tallcrow.pattern/1', 'title' => $title, 'slots' => $slots])])->assertOk();

    return $job;
}

it('makes a pattern of a job, and says which of its places are gone', function (): void {
    $job = patternJob($this);
    expect($this->getJson("/api/jobs/{$job->id}/series")->assertOk()->json('0'))->toMatchArray(['title' => '{Name} family', 'rows' => 0])->and($this->getJson("/api/jobs/{$job->id}/series/places")->json('*.place'))->toContain('/title', '/garments', 'name/source/text', 'name/source/font', 'disc/effects/0/colour', 'disc/placement/width', 'name/on');
    $set = fn (array $pattern) => $this->putJson("/api/jobs/{$job->id}/series", ['pattern' => json_encode(['format' => 'tallcrow.pattern/1', 'title' => ''] + $pattern)]);
    $set(['slots' => [['name' => 'Town', 'places' => ['town/source/text']]]])->assertJsonValidationErrors('pattern');
    $this->putJson("/api/jobs/{$job->id}/series", ['pattern' => '{"format":'])->assertJsonValidationErrors('pattern');
    $other = $this->job();
    expect($this->getJson("/api/jobs/{$other->id}/series")->assertOk()->json())->toBe([]);
    $this->getJson("/api/jobs/{$other->id}/series/rows")->assertNotFound();
    $this->deleteJson("/api/jobs/{$job->id}/series")->assertNoContent();
    expect($this->getJson("/api/jobs/{$job->id}/series")->json())->toBe([]);
});

it('reads lists, leaves bad rows, and crosses them with others', function (): void {
    // What the rows are is asked here, not whether they are well.
    Queue::fake([CheckSeries::class]);
    $job = patternJob($this, [NAME_SLOT, ['name' => 'Colour', 'places' => ['disc/effects/0/colour']]], '{Name} in {Colour}');
    $read = $this->postJson("/api/jobs/{$job->id}/series/rows", ['table' => "who;colour\nRook;#112233\n;#445566\nMoth;#778899\n", 'columns' => ['Name' => 'Who']])->assertOk()->json();
    expect($read)->toBe(['taken' => 2, 'problems' => ['Row 3, column who: is empty.'], 'headings' => ['who', 'colour']])->and($this->getJson("/api/jobs/{$job->id}/series/rows")->json('*.title'))->toBe(['Rook in #112233', 'Moth in #778899']);
    $this->postJson("/api/jobs/{$job->id}/series/rows", ['table' => "Name\nKite", 'instead' => true])->assertOk();
    $this->postJson("/api/jobs/{$job->id}/series/made", ['slot' => 'Colour', 'values' => "#111111, #222222\n#333333", 'cross' => true])->assertJsonPath('taken', 3);
    $this->postJson("/api/jobs/{$job->id}/series/made", ['slot' => 'Name', 'list' => 'relations'])->assertOk();
    expect($this->getJson("/api/jobs/{$job->id}/series/rows")->json('*.title'))->toContain('Kite in #222222', 'Grandma in {Colour}');
    $this->postJson("/api/jobs/{$job->id}/series/made", ['slot' => 'Year', 'list' => 'years'])->assertJsonValidationErrors('slot');
    $this->postJson("/api/jobs/{$job->id}/series/made", ['slot' => 'Name', 'values' => ' ,'])->assertJsonValidationErrors('values');
});

it('checks every row at print size: what is too small, what is bad, and what is well', function (): void {
    $job = patternJob($this, [NAME_SLOT, ['name' => 'Width', 'places' => ['disc/placement/width']]], '{Name}');
    $this->postJson("/api/jobs/{$job->id}/series/rows", ['table' => "Name,Width\nWren,1\nRook,1\nXqvtz,1\nFeatherstonehaugh-Mallory-Quarry,1\nKite,wide\n"])->assertOk();
    $rows = collect($this->getJson("/api/jobs/{$job->id}/series/rows")->json())->keyBy('title');
    $says = fn (string $title): string => implode(' ', array_column($rows[$title]['told'], 'says'));

    // A name of the list is spelt so.
    expect($says('Xqvtz'))->not->toContain('Spelling')->and($rows['Featherstonehaugh-Mallory-Quarry']['verdict'])->toBe('fail')->and($says('Featherstonehaugh-Mallory-Quarry'))->toContain('0.40 in is the least')->toContain('small beside the others')
        ->and($rows['Kite']['verdict'])->toBe('fail')->and($says('Kite'))->toContain('"wide" is no number')->and($rows['Rook']['verdict'])->not->toBe('');
});

it('draws rows, changes one alone, and freezes one against its pattern', function (): void {
    $job = patternJob($this);
    $this->postJson("/api/jobs/{$job->id}/series/rows", ['table' => "Name\nRook\nMoth\nKite\n"])->assertOk();
    [$rook, $moth] = array_column($this->getJson("/api/jobs/{$job->id}/series/rows")->json(), 'id');
    $proof = fn (int $row): string => (string) $this->get("/api/series-rows/$row/proof.png?ppi=30")->assertOk()->getContent();
    $before = $proof($rook);
    expect($before)->not->toBe($proof($moth));
    $changed = $this->putJson("/api/series-rows/$rook", ['changes' => ['disc/on' => 'no']])->assertOk()->json();
    expect($changed['changes'])->toBe([['at' => 'disc/on', 'value' => 'no']])->and($proof($rook))->not->toBe($before);
    $this->putJson("/api/series-rows/$rook", ['changes' => ['gone/on' => 'no']])->assertJsonValidationErrors('values');
    $this->putJson("/api/series-rows/$moth", ['frozen' => true])->assertJsonPath('frozen', true);
    $frozen = $proof($moth);
    $kite = $this->getJson("/api/jobs/{$job->id}/series/rows")->json('2.id');
    $follows = $proof($kite);
    $this->postJson("/api/jobs/{$job->id}/operations", ['version' => $job->refresh()->version, 'operations' => [['op' => 'scale', 'ids' => ['disc'], 'by' => 0.5]]])->assertOk();
    expect($proof($moth))->toBe($frozen)->and($proof($kite))->not->toBe($follows);
    $this->deleteJson("/api/series-rows/$kite")->assertNoContent();
    expect($this->getJson("/api/jobs/{$job->id}/series/rows")->json('*.title'))->toBe(['Rook family', 'Moth family']);
});

it('sends all rows as one batch, pauses and goes on, each file by its own name', function (): void {
    $job = patternJob($this);
    $this->postJson("/api/jobs/{$job->id}/series/send")->assertJsonValidationErrors('rows');
    $this->postJson("/api/jobs/{$job->id}/series/rows", ['table' => "Name\nRook\nMoth\n"])->assertOk();
    $sent = $this->postJson("/api/jobs/{$job->id}/series/send")->assertCreated()->json();
    expect(array_column($sent, 'file'))->toBe(['rook-family.png', 'moth-family.png'])->and(Export::query()->pluck('state')->unique()->values()->all())->toBe([ExportState::Done])->and(Export::query()->pluck('sha256')->unique())->toHaveCount(2)
        ->and(LogEntry::query()->pluck('title')->all())->toBe(['Rook family', 'Moth family']);
    $batch = $sent[0]['batch'];
    expect($this->getJson("/api/jobs/{$job->id}/sends")->json('0'))->toMatchArray(['id' => $batch, 'all' => 2, 'done' => 2, 'live' => 0]);

    Export::query()->update(['state' => ExportState::Queued]);
    $this->postJson("/api/jobs/{$job->id}/send/$batch/pause")->assertNoContent();
    expect($this->getJson("/api/jobs/{$job->id}/sends")->json('0'))->toMatchArray(['paused' => 2, 'done' => 0]);
    // A worker that had it in hand leaves it.
    (new ExportArtwork(Export::query()->firstOrFail()->id))->handle();
    expect(Export::query()->pluck('state')->unique()->all())->toBe([ExportState::Paused]);
    $this->postJson("/api/jobs/{$job->id}/send/$batch/resume")->assertNoContent();
    expect($this->getJson("/api/jobs/{$job->id}/sends")->json('0.done'))->toBe(2);

    SeriesRow::query()->delete();
    Export::query()->update(['state' => ExportState::Failed]);
    $this->postJson("/api/jobs/{$job->id}/send/$batch/again")->assertCreated();
    expect(Export::query()->firstOrFail()->trouble)->toContain('row that this file was of is gone');
});

it('finishes a series whose worker was killed in the middle, and does nothing twice', function (): void {
    Queue::fake();
    $job = patternJob($this);
    $this->postJson("/api/jobs/{$job->id}/series/rows", ['table' => "Name\nRook\nMoth\nWeir\nBell\n"])->assertOk();
    $sent = array_column($this->postJson("/api/jobs/{$job->id}/series/send")->assertCreated()->json(), 'id');
    (new ExportArtwork($sent[0]))->handle();
    $first = Export::query()->findOrFail($sent[0]);
    // As a killed worker leaves the second: taken, half way, pieces in its scratch folder, silent since.
    Export::query()->whereKey($sent[1])->update(['state' => ExportState::Running, 'stage' => 'layers', 'progress' => 40, 'beat_at' => now()->subMinute()]);
    file_put_contents($this->shop->folder("scratch/{$sent[1]}").'/left.v', 'half');
    // The queue hands all of them out once more, in another order and some of them twice.
    foreach ([$sent[3], $sent[1], $sent[0], $sent[2], $sent[1], $sent[3]] as $id) {
        (new ExportArtwork($id))->handle();
    }
    $made = Export::query()->with('shop')->whereKey($sent)->orderBy('id')->get();
    expect($made->pluck('state')->unique()->all())->toBe([ExportState::Done])->and($made->pluck('sha256')->unique())->toHaveCount(4)
        ->and(LogEntry::query()->orderBy('title')->pluck('title')->all())->toBe(['Bell family', 'Moth family', 'Rook family', 'Weir family'])
        // What was made before is not made again, and nothing half made is left.
        ->and($made[0]?->updated_at?->equalTo($first->updated_at))->toBeTrue()->and(glob($this->shop->folder('scratch').'/*'))->toBe([]);
    foreach ($made as $one) {
        $size = getimagesize($one->path());
        expect([$size[0] ?? 0, $size[1] ?? 0])->toBe([900, 1200]);
    }
});

it('sends pictures to list rows by along, and the words of the listing with slots filled', function (): void {
    $job = patternJob($this);
    $this->postJson("/api/jobs/{$job->id}/series/rows", ['table' => "Name\nRook\n=Moth\n"])->assertOk();
    $sent = $this->postJson("/api/jobs/{$job->id}/series/send", ['scene' => 'wood'])->assertCreated()->json();
    expect(array_column($sent, 'file'))->toBe(['rook-family.png', 'rook-family-slate.jpg', 'rook-family-oat.jpg', 'moth-family.png', 'moth-family-slate.jpg', 'moth-family-oat.jpg'])->and(Export::query()->pluck('state')->unique()->all())->toBe([ExportState::Done]);
    $picture = $this->get("/api/exports/{$sent[1]['id']}/file")->assertOk()->assertHeader('Content-Type', 'image/jpeg')->baseResponse->getFile()->getPathname();
    expect(array_slice(getimagesize($picture) ?: [], 0, 3))->toBe([2500, 2100, IMAGETYPE_JPEG]);
    $this->postJson("/api/jobs/{$job->id}/series/send", ['scene' => 'sea'])->assertJsonValidationErrors('scene');

    $this->putJson("/api/jobs/{$job->id}/listing", ['title' => '{Name} family shirt', 'description' => 'For every {name}; {town} stays.', 'tags' => ['{Name}', 'family'], 'titleMost' => null, 'descriptionMost' => null, 'tagsMost' => null, 'tagMost' => null])->assertOk();
    $rows = array_map(fn (string $row): array => str_getcsv($row, escape: ''), explode("\r\n", trim($this->get("/api/jobs/{$job->id}/series/listing.csv")->assertOk()->streamedContent())));
    expect($rows[1])->toBe(['Rook family', 'Rook family shirt', 'For every Rook; {town} stays.', 'Rook, family', ''])->and($rows[2][1])->toBe("'=Moth family shirt");
});
