<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Bench\Provenance;
use App\Models\Shop;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;

final class Upload extends FormRequest
{
    public const MOST_KILOBYTES = 60_000;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'file' => ['required', 'file', 'max:'.self::MOST_KILOBYTES],
            // A pack may contain its licence.
            'licence' => [Rule::requiredIf(fn (): bool => ! $this->filled('under') && ! $this->isPack()), 'nullable', 'string', 'max:120'],
            'under' => ['sometimes', 'nullable', 'integer', Rule::exists('licences', 'id')->where('shop_id', app(Shop::class)->id)],
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
            'under.exists' => 'That licence is not there any more. Choose another.',
            'held.accepted' => 'Confirm that you hold the right to use this file.',
        ];
    }

    public function provenance(): Provenance
    {
        return new Provenance($this->string('licence')->trim()->toString(), $this->string('author')->toString(), genre: $this->string('genre')->trim()->toString(), record: $this->filled('under') ? $this->integer('under') : null);
    }

    private function isPack(): bool
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile && strtolower($file->getClientOriginalExtension()) === 'zip';
    }

    public function upload(): UploadedFile
    {
        $file = $this->file('file');
        assert($file instanceof UploadedFile);

        return $file;
    }
}
