<?php

declare(strict_types=1);

use App\Bench\NobodyWaits;
use App\Bench\ProofSteps;
use App\Bench\Studio;
use App\Bench\Waiting;
use TallCrow\Preflight\Preflight;
use TallCrow\Tests\Fixtures;

it('tells how far a proof is that takes its time, and nothing of one that is soon done', function (): void {
    $revision = $this->job()->head;
    $ask = fn (int $ppi = 60): mixed => $this->getJson("/api/revisions/{$revision->id}/steps?ppi=$ppi")->assertOk()->json('at');
    $steps = ProofSteps::of($revision, 60, false);
    $steps->layer(0, 4, 'Harbour photo');
    expect($ask())->toBeNull();
    usleep(260_000);
    $steps->layer(1, 4, 'Harbour photo');
    expect($ask())->toEqual(['name' => 'Harbour photo', 'kind' => '', 'done' => 0.25]);
    $steps->line(1, 2, 'clear-edge');
    expect($ask())->toEqual(['name' => 'Harbour photo', 'kind' => 'clear-edge', 'done' => 0.375])->and($ask(75))->toBeNull();
    // A group tells of its own two pieces: what is done stays done.
    $steps->layer(0, 2, 'Gull');
    expect($ask()['done'])->toBe(0.375);
    $steps->done();
    expect($ask())->toBeNull();
});

it('is told of each line of retouching by the drawing itself, and ends with it', function (): void {
    $this->shelve('moth-scan.png');
    $job = $this->job([['id' => 'moth', 'source' => ['kind' => 'art', 'file' => 'moth-scan.png'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2], 'effects' => [['kind' => 'clear-edge'], ['kind' => 'tidy']]]]);
    $told = new class implements TallCrow\Render\Progress {
        /** @var list<string> */
        public array $seen = [];

        public function layer(int $number, int $of, string $name): void
        {
            $this->seen[] = "layer $number of $of";
        }

        public function line(int $number, int $of, string $kind): void
        {
            $this->seen[] = "$kind, $number of $of";
        }
    };
    $artwork = $job->head->read();
    App\Bench\Studio::of($this->shop)->renderer->picture($artwork, TallCrow\Render\Frame::sheet($artwork->sheet, 60), null, $told)->settled();
    expect($told->seen)->toBe(['layer 0 of 1', 'clear-edge, 0 of 2', 'tidy, 1 of 2']);
    $this->get("/api/revisions/{$job->head_id}/proof.png?ppi=60")->assertOk();
    expect($this->getJson("/api/revisions/{$job->head_id}/steps?ppi=60")->json('at'))->toBeNull();
});

it('lets go of what the bench asked for once the sheet is saved anew, and of nothing else', function (): void {
    $job = $this->job([Fixtures::shape('plate', 'rectangle', 2)]);
    $old = $job->head;
    Waiting::for($old, true, 0.0)->goOn();
    $this->postJson("/api/jobs/{$job->id}/operations", ['version' => $job->version, 'operations' => [['op' => 'move', 'ids' => ['plate'], 'dx' => 0.5, 'dy' => 0]]])->assertOk();
    $new = $job->fresh()->head;
    Waiting::for($new, true, 0.0)->goOn();
    // Beside other versions an old one is drawn as ever.
    Waiting::for($old, false, 0.0)->goOn();
    $this->get("/api/revisions/{$old->id}/proof.png?ppi=40")->assertOk()->assertHeader('Content-Type', 'image/png');
    expect($new->id)->not->toBe($old->id)->and(fn () => Waiting::for($old, true, 0.0)->goOn())->toThrow(NobodyWaits::class);
    expect((new NobodyWaits)->render())->getStatusCode()->toBe(204)->and((new NobodyWaits)->render()->headers->get('Cache-Control'))->toContain('no-store');
    // The checks ask before each of theirs.
    $asked = 0;
    $stop = function () use (&$asked): void {
        if (++$asked === 3) {
            throw new NobodyWaits;
        }
    };
    expect(fn () => Preflight::artwork($new->read(), Studio::of($this->shop)->renderer, Studio::of($this->shop)->shelf, before: $stop))->toThrow(NobodyWaits::class);
});
