<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use TallCrow\Artwork\Brief as ArtworkBrief;
use TallCrow\Artwork\Garment;
use TallCrow\Artwork\PrintMethod;
use TallCrow\Artwork\Product;
use TallCrow\Artwork\Side;
use TallCrow\Colour\Srgb;
use TallCrow\Measure\HouseRule;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;

/** What a job is for: words, product and side, cloth colours, print area and the house's rule. */
final class Brief extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $side = ['required', 'integer', 'min:1', 'max:'.PrintArea::MAX_SIDE];

        return [
            'title' => ['required', 'string', 'max:200'],
            'product' => ['required', Rule::enum(Product::class)],
            'side' => ['required', Rule::enum(Side::class)],
            'method' => ['required', Rule::enum(PrintMethod::class)],
            'rule' => ['required', Rule::enum(HouseRule::class)],
            'garments' => ['required', 'array', 'min:1', 'max:40'],
            'garments.*.name' => ['required', 'string', 'max:60', 'distinct:ignore_case'],
            'garments.*.colour' => ['required', 'regex:/^#[0-9a-fA-F]{6}$/'],
            'area.name' => ['required', 'string', 'max:120'],
            'area.width' => $side,
            'area.height' => $side,
            'area.ppi' => ['required', 'numeric', 'min:50', 'max:1200'],
            'version' => ['sometimes', 'integer'],
            'fit' => ['sometimes', 'in:refit,keep'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.required' => 'Give the job a title.',
            'garments.required' => 'Offer at least one garment colour.',
            'garments.min' => 'Offer at least one garment colour.',
            'garments.*.name.distinct' => 'Two garment colours have the same name.',
        ];
    }

    public function area(): PrintArea
    {
        return PrintArea::pixels($this->string('area.name')->toString(), $this->integer('area.width'), $this->integer('area.height'), Ppi::of($this->float('area.ppi')));
    }

    public function title(): string
    {
        return $this->string('title')->trim()->toString();
    }

    /** Whether the design is sized to another print area, or keeps its printed size. */
    public function refits(): bool
    {
        return $this->string('fit')->toString() === 'refit';
    }

    public function brief(): ArtworkBrief
    {
        /** @var list<array{name: string, colour: string}> $garments */
        $garments = $this->array('garments');

        return new ArtworkBrief(
            Product::from($this->string('product')->toString()),
            Side::from($this->string('side')->toString()),
            PrintMethod::from($this->string('method')->toString()),
            HouseRule::from($this->string('rule')->toString()),
            array_map(fn (array $g): Garment => new Garment($g['name'], Srgb::hex($g['colour'])), $garments),
        );
    }
}
