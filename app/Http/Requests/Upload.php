<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Bench\Provenance;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

final class Upload extends FormRequest
{
    public const MOST_KILOBYTES = 60_000;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'file' => ['required', 'file', 'max:'.self::MOST_KILOBYTES],
            'licence' => ['required', 'string', 'max:120'],
            'author' => ['sometimes', 'nullable', 'string', 'max:300'],
            'genre' => ['sometimes', 'nullable', 'string', 'max:60'],
            'held' => ['accepted'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'file.required' => 'Choose a file.',
            'file.uploaded' => 'The file did not arrive whole; 60 MB is the most.',
            'file.max' => 'The file is larger than 60 MB.',
            'licence.required' => 'Name the licence under which you hold this file.',
            'held.accepted' => 'Confirm that you hold the right to use this file.',
        ];
    }

    public function provenance(): Provenance
    {
        return new Provenance($this->string('licence')->toString(), $this->string('author')->toString(), genre: $this->string('genre')->trim()->toString());
    }

    public function upload(): UploadedFile
    {
        $file = $this->file('file');
        assert($file instanceof UploadedFile);

        return $file;
    }
}
