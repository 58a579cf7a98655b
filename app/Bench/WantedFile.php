<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\SeriesRow;
use App\Sending\Destination;
use TallCrow\Export\PrintForm;

/** One file of a job to be made. */
final readonly class WantedFile
{
    /**
     * @param  ?Destination  $to  null for the job's own print area
     * @param  string  $file  its name; the job's own unless given
     * @param  PrintForm  $form  its kind counts where it is for no house
     * @param  string  $title  of the row of a series that it is of
     * @param  ?array{kind: string, scene: string, seed: int, cloth: string}  $listing  of a picture to list it by; null for a print
     */
    public function __construct(
        public ?Destination $to = null,
        public string $file = '',
        public PrintForm $form = new PrintForm,
        public ?SeriesRow $row = null,
        public string $title = '',
        public ?array $listing = null,
    ) {}

    /** @return array<string, mixed> what the form column keeps of it */
    public function form(): array
    {
        return $this->listing ?? ['kind' => $this->form->kind->value, 'cut' => $this->form->cut, 'fewerColours' => $this->form->fewerColours];
    }
}
