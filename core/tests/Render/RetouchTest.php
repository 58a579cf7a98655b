<?php

declare(strict_types=1);

use TallCrow\Render\FolderPictures;
use TallCrow\Render\Frame;
use TallCrow\Render\Progress;
use TallCrow\Render\Renderer;
use TallCrow\Tests\Fixtures;

/** Renders a scan with lines of retouching. @param  list<array<string, mixed>>  $lines @return list<string> the lines that were worked */
function worked(array $lines, FolderPictures $kept): array
{
    $told = new class implements Progress {
        /** @var list<string> */
        public array $lines = [];

        public function layer(int $number, int $of, string $name): void {}

        public function line(int $number, int $of, string $kind): void
        {
            $this->lines[] = "$kind, $number of $of";
        }
    };
    $artwork = Fixtures::artwork([['id' => 'scan', 'source' => ['kind' => 'art', 'file' => 'moth-scan.png'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2], 'effects' => $lines]]);
    (new Renderer(Fixtures::shelf(), $kept))->picture($artwork, Frame::sheet($artwork->sheet, 50), null, $told)->settled();

    return $told->lines;
}

it('works only what comes after a changed line of retouching again', function (): void {
    $kept = new FolderPictures(Fixtures::temporary('retouch'));
    $lines = fn (float $tolerance, float $specks): array => [['kind' => 'crop', 'left' => 0.05], ['kind' => 'clear-edge', 'tolerance' => $tolerance], ['kind' => 'tidy', 'specks' => $specks]];
    expect(worked($lines(20, 0.05), $kept))->toBe(['crop, 0 of 3', 'clear-edge, 1 of 3', 'tidy, 2 of 3'])
        ->and(worked($lines(20, 0.05), $kept))->toBe([])
        ->and(worked($lines(20, 0.08), $kept))->toBe(['tidy, 2 of 3'])
        ->and(worked($lines(24, 0.08), $kept))->toBe(['clear-edge, 1 of 3', 'tidy, 2 of 3'])
        // One line more at the end leaves all before it as they were.
        ->and(worked([...$lines(24, 0.08), ['kind' => 'saturation', 'by' => 0.5]], $kept))->toBe(['saturation, 3 of 4']);
});

it('works measured lines again when the piece is sized, and others not', function (): void {
    $kept = new FolderPictures(Fixtures::temporary('retouch'));
    $sized = function (float $width) use ($kept): array {
        $artwork = Fixtures::artwork([['id' => 'scan', 'source' => ['kind' => 'art', 'file' => 'moth-scan.png'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => $width], 'effects' => [['kind' => 'clear-edge'], ['kind' => 'tidy']]]]);
        $before = count(glob("{$kept->folder}/i*.v") ?: []);
        (new Renderer(Fixtures::shelf(), $kept))->picture($artwork, Frame::sheet($artwork->sheet, 50))->settled();

        return [count(glob("{$kept->folder}/i*.v") ?: []) - $before];
    };
    // The picture unpacked, its two lines and what is shrunk for the proof; then the measured one and its proof alone.
    expect($sized(2.0))->toBe([4])->and($sized(1.5))->toBe([2]);
});
