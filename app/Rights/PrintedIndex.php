<?php

declare(strict_types=1);

namespace App\Rights;

use App\Models\JobFile;
use App\Models\PrintJob;
use TallCrow\Artwork\Artwork;
use TallCrow\Rights\PrintedFile;
use TallCrow\Rights\PrintedFiles;

/** Maintains the index of files that each job's current sheet uses, and which of them it prints. */
final class PrintedIndex
{
    public function renew(PrintJob $job, Artwork $artwork): void
    {
        $printed = array_map(fn (PrintedFile $file): string => $file->name, PrintedFiles::of($artwork));
        $files = $artwork->files();
        JobFile::query()->where('print_job_id', $job->id)->delete();
        JobFile::query()->insert(array_map(fn (string $file): array => ['shop_id' => $job->shop_id, 'print_job_id' => $job->id, 'file' => $file, 'prints' => in_array($file, $printed, true)], $files));
    }
}
