<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

final class PaletteUpload extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['version' => ['required', 'integer'], 'file' => ['required', 'file', 'max:200']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['file.required' => 'Choose a .gpl file.', 'file.max' => 'The palette is larger than 200 kB.'];
    }

    public function palette(): string
    {
        $file = $this->file('file');
        assert($file instanceof UploadedFile);

        return (string) $file->get();
    }
}
