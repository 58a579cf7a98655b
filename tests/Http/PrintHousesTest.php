<?php

declare(strict_types=1);

use App\Jobs\CarryParcel;
use App\Models\HouseRecord;
use App\Models\LogEntry;
use App\Models\Parcel;
use App\Models\ParcelState;
use App\Models\PrintJob;
use App\Sending\Houses\HouseAway;
use App\Sending\Houses\HouseDeclined;
use App\Sending\Houses\HouseVerdict;
use App\Sending\Houses\Package;
use App\Sending\Houses\PrintHouse;
use App\Sending\Houses\Services;
use App\Sending\Parcels;
use Opis\JsonSchema\Validator;
use TallCrow\Export\FileKind;
use TallCrow\Export\PrintPng;
use TallCrow\Measure\Ppi;
use TallCrow\Raster\Image;
use TallCrow\Tests\Fixtures;
use Tests\StandIn;

const LANE = ['format' => 'tallcrow.house/1', 'name' => 'Mill Lane', 'places' => [
    ['product' => 'Tee', 'place' => 'front', 'area' => ['width' => 600, 'height' => 800, 'ppi' => 100], 'least' => 80], ['product' => 'Tee', 'place' => 'poster', 'area' => ['width' => 600, 'height' => 800, 'ppi' => 100], 'least' => 150],
]];

beforeEach(function (): void {
    $this->house = StandIn::with(['lane' => LANE, 'mill-lane-print' => LANE]);
    $this->record = StandIn::record($this->shop, LANE, 'lane');
});

afterEach(fn () => $this->house->close());

/** A job whose file for that place is made; the batch that it is part of. */
function madeFor(object $test, HouseRecord $house, string $place = 'tee/front'): array
{
    $job = $test->job([Fixtures::shape('plate', 'rectangle', 2, '#f3ead7', ['placement' => ['x' => 1.5, 'y' => 1.25, 'height' => 1.0]])]);
    $test->putJson("/api/jobs/{$job->id}/destinations", ['destinations' => [['house' => $house->id, 'place' => $place, 'mode' => 'contain']]])->assertNoContent();

    return [$job, $test->postJson("/api/jobs/{$job->id}/send")->assertCreated()->json('0.batch')];
}

function bring(object $test, PrintJob $job, string $batch): array
{
    return $test->postJson("/api/jobs/{$job->id}/send/$batch/bring")->assertCreated()->json();
}

/** What the worker does when the parcel's time has come. */
function whenDue(object $test, int $times = 1): Parcel
{
    for ($i = 0; $i < $times; $i++) {
        $parcel = Parcel::query()->firstOrFail();
        $test->travelTo($parcel->due_at?->addSecond() ?? now());
        (new CarryParcel($parcel->id))->handle();
    }

    return Parcel::query()->firstOrFail();
}

it('brings a finished file to its house, shows both sides\' figures, and hears that it was printed', function (): void {
    [$job, $batch] = madeFor($this, $this->record);
    $parcel = bring($this, $job, $batch)[0];

    expect($parcel)->toMatchArray(['house' => 'Mill Lane', 'state' => 'accepted', 'reasons' => [], 'trouble' => ''])
        ->and(array_column($parcel['figures'], 'theirs', 'what'))->toMatchArray(['pixels' => '600 × 800', 'ppi at its width' => '100', 'transparent' => 'yes', 'colours' => 'sRGB'])
        ->and(array_filter(array_column($parcel['figures'], 'differs')))->toBe([])->and($this->house->prints())->toHaveCount(1);
    expect(whenDue($this)->state)->toBe(ParcelState::Printed)
        ->and(LogEntry::query()->orderBy('id')->pluck('event')->map->value->all())->toBe(['file', 'accepted', 'printed'])
        ->and($this->getJson("/api/jobs/{$job->id}/parcels")->json('0.state'))->toBe('printed')
        ->and($this->getJson('/api/log')->json('lines.0'))->toMatchArray(['event' => 'printed', 'house' => 'Mill Lane', 'said' => ['No. 1 there']]);
});

it('tells why a house refuses a file', function (): void {
    [$job, $batch] = madeFor($this, $this->record, 'tee/poster');

    expect(bring($this, $job, $batch)[0])->toMatchArray(['state' => 'refused', 'reasons' => ['It prints at 100 ppi; 150 is the least.']])->and($this->house->prints())->toBe([])
        ->and(LogEntry::query()->orderByDesc('id')->first()->details['reasons'])->toBe(['It prints at 100 ppi; 150 is the least.']);
});

it('comes again after a house was down, as long as it asks to wait, and gives up in words', function (): void {
    $this->freezeSecond();
    $this->house->moods('down', 'busy', 'fine');
    [$job, $batch] = madeFor($this, $this->record);
    expect(bring($this, $job, $batch)[0])->toMatchArray(['state' => 'waiting', 'tries' => 1])->and(Parcel::query()->firstOrFail()->due_at->timestamp - now()->timestamp)->toBe(2);
    // Before its time nothing happens.
    (new CarryParcel(Parcel::query()->firstOrFail()->id))->handle();
    expect(Parcel::query()->firstOrFail()->tries)->toBe(1)->and(whenDue($this)->tries)->toBe(2)->and(whenDue($this)->state)->toBe(ParcelState::Accepted)->and($this->house->prints())->toHaveCount(1);

    Parcel::query()->delete();
    $this->house->close();
    expect(bring($this, $job, $batch)[0]['trouble'])->toBe('The house cannot be reached.');
    expect(whenDue($this, count(Parcels::WAITS)))->state->toBe(ParcelState::Failed)->trouble->toContain('tried 7 times');
    $this->house->open();
    expect(bring($this, $job, $batch)[0]['state'])->toBe('accepted');
});

it('is printed once, whatever breaks off', function (): void {
    $this->house->moods('broken', 'fine');
    [$job, $batch] = madeFor($this, $this->record);
    expect(bring($this, $job, $batch)[0]['trouble'])->toBe('The answer of the house broke off.')->and($this->house->prints())->toHaveCount(1)
        ->and(whenDue($this)->state)->toBe(ParcelState::Accepted)->and($this->house->prints())->toHaveCount(1);
    // Pressed again, and queued twice.
    bring($this, $job, $batch);
    (new CarryParcel(Parcel::query()->firstOrFail()->id))->handle();
    expect(Parcel::query()->count())->toBe(1)->and($this->house->prints())->toHaveCount(1);

    // Its worker was killed while it was on its way: another takes it up once the first has been silent for long.
    Parcel::query()->update(['state' => ParcelState::Sending, 'number' => '', 'updated_at' => now()]);
    expect(Parcels::findForgotten())->toBe(0);
    $this->travel(200)->seconds();
    expect(Parcels::findForgotten())->toBe(1)->and(Parcel::query()->firstOrFail()->number)->toBe('1')->and($this->house->prints())->toHaveCount(1);
});

it('asks for a token in words, keeps it encrypted, and never hands it out', function (): void {
    $careful = StandIn::record($this->shop, LANE, 'mill-lane-print');
    [$job, $batch] = madeFor($this, $careful);
    expect(bring($this, $job, $batch)[0])->toMatchArray(['state' => 'failed'])->and(Parcel::query()->firstOrFail()->trouble)->toContain('asks for a token');
    $card = $this->putJson("/api/houses/{$careful->id}/service", ['service' => 'trial', 'account' => 'mill-lane-print', 'token' => 'lantern-and-rook'])->assertOk();
    expect($card->json('hasToken'))->toBeTrue()->and((string) $card->getContent())->not->toContain('lantern-and-rook')->and(DB::table('houses')->where('id', $careful->id)->value('token'))->not->toContain('lantern')
        ->and(bring($this, $job, $batch)[0]['state'])->toBe('accepted');
    // An empty field leaves it; another account drops it.
    $this->putJson("/api/houses/{$careful->id}/service", ['service' => 'trial', 'account' => 'mill-lane-print', 'token' => ''])->assertJsonPath('hasToken', true);
    $this->putJson("/api/houses/{$careful->id}/service", ['service' => 'trial', 'account' => 'elsewhere'])->assertJsonPath('hasToken', false);
    $this->putJson("/api/houses/{$careful->id}/service", ['service' => 'http://10.0.0.1/', 'account' => 'x'])->assertJsonValidationErrors('service');
    $this->putJson("/api/houses/{$careful->id}/service", ['service' => 'trial', 'account' => '../other'])->assertJsonValidationErrors('account');
});

it('brings nothing where no house takes files from here', function (): void {
    [$job, $batch] = madeFor($this, $this->record);
    $this->record->update(['service' => '']);
    $this->postJson("/api/jobs/{$job->id}/send/$batch/bring")->assertJsonValidationErrors('batch');
});

/** What every house must do. A new one is added to the list below. */
it('keeps the promises of a print house', function (Closure $make): void {
    $file = Fixtures::temporary('parcel').'/print.png';
    PrintPng::write(Image::empty(600, 800), $file, Ppi::of(100), 'Kites');
    $house = $make($this);
    assert($house instanceof PrintHouse);
    $package = new Package('key-1', $file, FileKind::Png, 'Tee', 'front');
    $first = $house->bring($package);
    $again = $house->bring($package);

    expect($first->verdict)->toBe(HouseVerdict::Accepted)->and($again->number)->toBe($first->number)->and($first->measured->width)->toBe(600)->and($first->measured->sha256)->toBe(hash_file('sha256', $file))
        ->and($house->ask($first->number)->verdict)->toBe(HouseVerdict::Printed)
        ->and(fn () => $house->bring(new Package('key-2', $file, FileKind::Png, 'Tee', 'nowhere')))->toThrow(HouseDeclined::class)
        ->and(fn () => $house->bring(new Package('key-3', "$file.gone", FileKind::Png, 'Tee', 'front')))->toThrow(HouseDeclined::class);
    $this->house->close();
    expect(fn () => $house->bring(new Package('key-4', $file, FileKind::Png, 'Tee', 'front')))->toThrow(HouseAway::class);
})->with(['over HTTP, as print-house/openapi.json has it' => [fn (object $test): PrintHouse => Services::of($test->record)]]);

it('answers as its OpenAPI document says', function (): void {
    $document = json_decode((string) file_get_contents(base_path('print-house/openapi.json')));
    $validator = new Validator;
    $validator->resolver()->registerRaw($document, 'http://house.test/openapi.json');
    $fits = fn (string $json, string $schema): bool => $validator->validate(json_decode($json), "http://house.test/openapi.json#/components/schemas/$schema")->isValid();
    [$job, $batch] = madeFor($this, $this->record);
    bring($this, $job, $batch);

    expect($fits($this->house->call('GET', 'lane/files/1'), 'told'))->toBeTrue()->and($fits($this->house->call('POST', 'lane/files?product=Tee&place=front', 'x'), 'trouble'))->toBeTrue()
        ->and($fits('{"id":1}', 'told'))->toBeFalse()->and(json_decode($this->house->call('GET', 'openapi.json'))->openapi)->toBe('3.1.0');
});
