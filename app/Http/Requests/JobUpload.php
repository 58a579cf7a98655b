<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

/** A job file to be opened as a new job. */
final class JobUpload extends FormRequest
{
    public const MOST_KILOBYTES = 200_000;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['file' => ['required', 'file', 'max:'.self::MOST_KILOBYTES], 'held' => ['accepted']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'file.required' => 'Choose a job file.',
            'file.uploaded' => 'The file did not arrive whole; 200 MB is the most.',
            'file.max' => 'The file is larger than 200 MB.',
            'held.accepted' => 'Confirm that you hold the right to use its fonts and pictures.',
        ];
    }

    public function upload(): UploadedFile
    {
        $file = $this->file('file');
        assert($file instanceof UploadedFile);

        return $file;
    }
}
