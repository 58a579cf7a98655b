<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Bench\SheetFacts;
use App\Models\PrintJob;
use TallCrow\Artwork\Product;
use TallCrow\Artwork\Sheet;
use TallCrow\Artwork\Side;

/** A job in the list of jobs. */
final readonly class JobCard extends Answer
{
    /** @param  list<Cloth>  $garments */
    public function __construct(
        public int $id,
        public string $title,
        public int $revision,
        public Product $product,
        public Side $side,
        public SheetSize $sheet,
        public array $garments,
        public int $layers,
        public JobState $state,
        public string $updatedAt,
    ) {}

    /** For a job whose sheet cannot be read, so that it is still listed and can be deleted. */
    public static function unreadable(PrintJob $job): self
    {
        return new self($job->id, $job->title, (int) $job->head_id, Product::Tee, Side::Front, SheetSize::of(Sheet::of($job->area())), [], 0, JobState::Unreadable, $job->updated_at->toIso8601String());
    }

    /** @param  int  $exports  that are done */
    public static function of(PrintJob $job, SheetFacts $sheet, int $exports): self
    {
        return new self(
            $job->id, $job->title, (int) $job->head_id, $sheet->product, $sheet->side, new SheetSize($sheet->width, $sheet->height, $sheet->ppi),
            array_map(fn (array $cloth): Cloth => new Cloth(...$cloth), $sheet->cloths), $sheet->layers,
            $exports > 0 ? JobState::Exported : ($sheet->layers === 0 ? JobState::Empty : JobState::Drafted),
            $job->updated_at->toIso8601String(),
        );
    }
}
