<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Paper;
use App\Bench\Studio;
use App\Http\Answers\GangCard;
use App\Http\Answers\GangLayout;
use App\Jobs\LayGang;
use App\Models\ExportState;
use App\Models\Gang;
use App\Models\PrintJob;
use App\Models\Shop;
use App\Sending\PressCard;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\File;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use TallCrow\Gang\GangCut;
use TallCrow\Gang\GangPiece;
use TallCrow\Gang\GangSheet;
use TallCrow\Gang\MaxRects;

/**
 * Gang sheets for transfers: several designs with numbers of copies.
 *
 * @phpstan-type Piece array{job: int, revision: int, title: string, width: ?float, count: int, turns: bool}
 */
final class GangController
{
    private const MOST_SHOWN = 50;

    /** @return array<int, GangCard> the newest first */
    public function index(Shop $shop): array
    {
        return $shop->gangs()->orderByDesc('id')->limit(self::MOST_SHOWN)->get()->map(GangCard::of(...))->all();
    }

    /** The layout of the copies, without drawing anything. */
    public function layout(Request $request, Shop $shop): GangLayout
    {
        [$film, $pieces] = $this->asked($request, $shop);
        $renderer = Studio::of($shop)->renderer;

        return GangLayout::of(MaxRects::layout(array_map(function (array $piece) use ($renderer): GangPiece {
            $artwork = PrintJob::query()->with('head')->findOrFail($piece['job'])->head?->read() ?? abort(404);
            $ink = GangCut::ink($artwork, $renderer);
            $by = $piece['width'] === null ? 1.0 : $piece['width'] / $ink->width();

            return new GangPiece($piece['title'], $ink->width() * $by, $ink->height() * $by, $piece['count'], $piece['turns']);
        }, $pieces), $film));
    }

    public function store(Request $request, Shop $shop): JsonResponse
    {
        $this->layout($request, $shop);
        [$film, $pieces] = $this->asked($request, $shop);
        $gang = $shop->gangs()->create(['state' => ExportState::Queued, 'asked' => [
            'film' => ['width' => $film->width, 'length' => $film->length, 'gap' => $film->gap, 'margin' => $film->margin],
            'mirrored' => $request->boolean('mirrored', true), 'marks' => $request->boolean('marks', true), 'pieces' => $pieces, 'card' => PressCard::asked($request)?->toArray(),
        ]])->refresh();
        LayGang::dispatch($gang->id);

        return GangCard::of($gang->refresh())->created();
    }

    public function cancel(Gang $gang): GangCard
    {
        Gang::query()->whereKey($gang->id)->where('state', ExportState::Queued)->update(['state' => ExportState::Cancelled, 'stage' => 'cancelled']);
        Gang::query()->whereKey($gang->id)->where('state', ExportState::Running)->update(['state' => ExportState::Cancelling]);

        return GangCard::of($gang->refresh());
    }

    public function destroy(Gang $gang): Response
    {
        abort_unless($gang->state->isOver(), 409, 'It is still being drawn: cancel it first.');
        File::deleteDirectory($gang->load('shop')->folder());
        $gang->delete();

        return response()->noContent();
    }

    public function file(Gang $gang, string $sheet): BinaryFileResponse
    {
        $known = array_column($gang->made['sheets'] ?? [], 'file');
        abort_unless(in_array($sheet, $known, true) && is_file($gang->load('shop')->folder()."/$sheet"), 404, 'This film has no such sheet.');

        return response()->download($gang->folder()."/$sheet", $sheet, ['Content-Type' => 'image/png']);
    }

    /** The press card that goes with a film: the maker's pressing instructions and the list of its contents. */
    public function card(Gang $gang): Response
    {
        $page = view('press-card', ['gang' => $gang, 'card' => PressCard::kept($gang->asked['card'] ?? null)])->render();

        return new Response(Paper::pdf($page), 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'attachment; filename="press-card-'.$gang->id.'.pdf"']);
    }

    /** @return array{GangSheet, list<Piece>} */
    private function asked(Request $request, Shop $shop): array
    {
        /** @var array{film: array{width: float|int|string, length?: float|int|string|null, gap?: float|int|string|null, margin?: float|int|string|null}, pieces: list<array{job: int|string, width?: float|int|string|null, count: int|string, turns?: bool|string|int|null}>} $asked */
        $asked = $request->validate([
            'film' => ['required', 'array'], 'film.width' => ['required', 'numeric', 'between:1,100'], 'film.length' => ['nullable', 'numeric', 'between:1,400'], 'film.gap' => ['nullable', 'numeric', 'between:0,5'], 'film.margin' => ['nullable', 'numeric', 'between:0,5'],
            'mirrored' => ['sometimes', 'boolean'], 'marks' => ['sometimes', 'boolean'],
            'pieces' => ['required', 'array', 'min:1', 'max:100'], 'pieces.*.job' => ['required', 'integer'], 'pieces.*.width' => ['nullable', 'numeric', 'between:0.1,100'], 'pieces.*.count' => ['required', 'integer', 'between:1,2000'], 'pieces.*.turns' => ['nullable', 'boolean'],
        ], ['pieces.required' => 'Choose at least one design.', 'pieces.min' => 'Choose at least one design.']);
        $jobs = $shop->jobs()->with('head')->whereIn('id', array_column($asked['pieces'], 'job'))->get()->keyBy('id');
        $pieces = [];
        foreach ($asked['pieces'] as $i => $piece) {
            $job = $jobs->get((int) $piece['job']);
            if ($job?->head === null) {
                throw ValidationException::withMessages(["pieces.$i.job" => 'That design is not there any more.']);
            }
            $pieces[] = ['job' => $job->id, 'revision' => $job->head->id, 'title' => $job->title, 'width' => isset($piece['width']) ? (float) $piece['width'] : null, 'count' => (int) $piece['count'], 'turns' => filter_var($piece['turns'] ?? true, FILTER_VALIDATE_BOOLEAN)];
        }
        $film = $asked['film'];

        return [new GangSheet((float) $film['width'], isset($film['length']) ? (float) $film['length'] : null, (float) ($film['gap'] ?? 0.25), (float) ($film['margin'] ?? 0.25)), $pieces];
    }
}
