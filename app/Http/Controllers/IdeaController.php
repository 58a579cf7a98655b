<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Briefs;
use App\Bench\Studio;
use App\Http\Answers\IdeaCard;
use App\Models\AssetKind;
use App\Models\Idea;
use App\Models\PrintJob;
use App\Models\Shop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Brief;
use TallCrow\Artwork\Garment;
use TallCrow\Artwork\PrintMethod;
use TallCrow\Artwork\Product;
use TallCrow\Artwork\Sheet;
use TallCrow\Artwork\Side;
use TallCrow\Colour\Srgb;
use TallCrow\Edit\Operations;
use TallCrow\Measure\HouseRule;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;

/** Ideas: a phrase, a picture or a link, with an event and a niche, until it is made into a job. */
final class IdeaController
{
    /** @return list<IdeaCard> the newest first */
    public function index(Shop $shop): array
    {
        return array_values(Idea::query()->where('shop_id', $shop->id)->orderByDesc('id')->limit(500)->get()->map(IdeaCard::of(...))->all());
    }

    public function add(Request $request, Shop $shop): JsonResponse
    {
        return IdeaCard::of(Idea::query()->create($this->asked($request, $shop) + ['shop_id' => $shop->id]))->created();
    }

    public function change(Request $request, Shop $shop, Idea $idea): IdeaCard
    {
        $idea->update($this->asked($request, $shop));

        return IdeaCard::of($idea);
    }

    public function drop(Idea $idea): Response
    {
        $idea->delete();

        return response()->noContent();
    }

    /** Creates a job with the idea's words and picture on the sheet and the brief of the latest job. */
    public function promote(Idea $idea, Shop $shop, Briefs $briefs): JsonResponse
    {
        $last = PrintJob::query()->where('shop_id', $shop->id)->with('head')->latest('id')->first();
        $brief = $last?->head?->read()->brief ?? new Brief(Product::Tee, Side::Front, PrintMethod::DirectToGarment, HouseRule::Strict300, [new Garment('Slate', Srgb::hex('#3d4a57'))]);
        $area = $last?->area() ?? PrintArea::inches('Front', 12.0, 16.0, Ppi::of(300));
        $picture = $idea->load('asset')->asset;
        $title = [$idea->words, $picture->title ?? '', $idea->link];
        $artwork = Artwork::blank(mb_substr(array_values(array_filter($title))[0] ?? 'Idea', 0, 80), $brief, Sheet::of($area));
        $font = $shop->assets()->where('kind', AssetKind::Font)->orderByDesc('favourite')->orderBy('id')->value('file');
        $pieces = [
            ...($picture?->kind === AssetKind::Art ? [['op' => 'add', 'source' => ['kind' => 'art', 'file' => $picture->file, 'frame' => 'ink'], 'share' => 0.6]] : []),
            ...(is_string($font) && $idea->words !== '' ? [['op' => 'add', 'source' => ['kind' => 'text', 'text' => mb_substr($idea->words, 0, 300), 'font' => $font], 'share' => 0.8]] : []),
        ];
        if ($pieces !== []) {
            $artwork = Operations::apply(Operations::read($pieces), $artwork, Studio::of($shop)->renderer->placer)->artwork;
        }
        $job = $briefs->start($shop, $area, $artwork);
        $idea->update(['print_job_id' => $job->id]);

        return IdeaCard::of($idea)->created();
    }

    /** @return array<string, string|int|null> */
    private function asked(Request $request, Shop $shop): array
    {
        $request->validate([
            'words' => ['required_without_all:link,asset', 'nullable', 'string', 'max:500'], 'event' => ['sometimes', 'nullable', 'string', 'max:120'], 'niche' => ['sometimes', 'nullable', 'string', 'max:120'], 'inspiredBy' => ['sometimes', 'nullable', 'string', 'max:300'],
            'link' => ['sometimes', 'nullable', 'string', 'max:500', 'url:http,https'], 'asset' => ['sometimes', 'nullable', 'integer', Rule::exists('assets', 'id')->where('shop_id', $shop->id)->where('kind', AssetKind::Art->value)],
        ], ['words.required_without_all' => 'Say it in a line of words, or give a picture or a link.', 'link.url' => 'Write the whole address, such as https://example.org/page.', 'asset.exists' => 'That picture is not on the shelf any more.']);

        return [
            'words' => $request->string('words')->trim()->toString(), 'event' => $request->string('event')->toString(), 'niche' => $request->string('niche')->trim()->toString(), 'inspired_by' => $request->string('inspiredBy')->trim()->toString(),
            'link' => $request->string('link')->trim()->toString(), 'asset_id' => $request->filled('asset') ? $request->integer('asset') : null,
        ];
    }
}
