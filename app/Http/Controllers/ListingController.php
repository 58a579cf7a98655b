<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Studio;
use App\Models\Revision;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Garment;
use TallCrow\Artwork\Side;
use TallCrow\Colour\Srgb;
use TallCrow\Export\PrintPng;
use TallCrow\Listing\Backdrop;
use TallCrow\Listing\ListingPicture;
use TallCrow\Listing\Scene;
use TallCrow\Raster\ImageFile;
use TallCrow\Render\Frame;
use TallCrow\Render\LayerTrouble;

/** Pictures to list a design by, on each cloth on offer. */
final class ListingController
{
    /** Cloths in one zip; each takes about two seconds. */
    private const MOST = 20;

    public function picture(Request $request, Revision $revision): Response
    {
        [$backdrop, $seed, $width, $height] = $this->asked($request);
        $artwork = $revision->read();
        $garment = $artwork->brief->garments[$request->integer('cloth')] ?? abort(404, 'This design is not offered on such a cloth.');

        return new Response($this->drawn($revision, $artwork, [$garment], $backdrop, $seed, $width, $height)[0], 200, ['Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, max-age=600']);
    }

    /** One for each cloth on offer, in a zip. */
    public function all(Request $request, Revision $revision): BinaryFileResponse
    {
        [$backdrop, $seed, $width, $height] = $this->asked($request);
        $artwork = $revision->read();
        $garments = array_slice($artwork->brief->garments, 0, self::MOST);
        $path = $revision->job->load('shop')->shop->folder('scratch').'/listing-'.bin2hex(random_bytes(6)).'.zip';
        $stem = pathinfo(PrintPng::fileName($artwork->title), PATHINFO_FILENAME);
        $zip = new \ZipArchive;
        $zip->open($path, \ZipArchive::CREATE | \ZipArchive::OVERWRITE);
        foreach ($this->drawn($revision, $artwork, $garments, $backdrop, $seed, $width, $height) as $i => $jpeg) {
            $name = sprintf('%s-%d-%s.jpg', $stem, $i + 1, pathinfo(PrintPng::fileName($garments[$i]->name), PATHINFO_FILENAME));
            $zip->addFromString($name, $jpeg);
            $zip->setCompressionName($name, \ZipArchive::CM_STORE);
        }
        $zip->close();

        return response()->download($path, "$stem-listing.zip", ['Content-Type' => 'application/zip'])->deleteFileAfterSend();
    }

    /** @return array{Backdrop, int, int, int} */
    private function asked(Request $request): array
    {
        $request->validate([
            'cloth' => ['sometimes', 'integer', 'between:0,39'], 'backdrop' => ['sometimes', Rule::enum(Backdrop::class)], 'seed' => ['sometimes', 'integer', 'between:0,999999'],
            'width' => ['sometimes', 'integer', 'between:200,4000'], 'height' => ['sometimes', 'integer', 'between:200,4000'],
        ]);

        $number = fn (string $name, int $otherwise): int => $request->filled($name) ? $request->integer($name) : $otherwise;

        return [$request->enum('backdrop', Backdrop::class) ?? Backdrop::Plain, $number('seed', 1), $number('width', 2500), $number('height', 2100)];
    }

    /**
     * The art is drawn once and laid on each.
     *
     * @param  list<Garment>  $garments
     * @return list<string> JPEG
     */
    private function drawn(Revision $revision, Artwork $artwork, array $garments, Backdrop $backdrop, int $seed, int $width, int $height): array
    {
        $scene = fn (Srgb $cloth): Scene => new Scene($artwork->brief->product->value, $artwork->brief->side === Side::Back, $cloth, $backdrop, $seed, $width, $height);
        $ppi = ListingPicture::ppi($scene(Srgb::of(0, 0, 0)));
        $art = Studio::of($revision->job->load('shop')->shop)->renderer->picture($artwork, Frame::sheet($artwork->sheet, max(10.0, $ppi)), fn (LayerTrouble $trouble): null => null)->settled();

        return array_map(fn (Garment $garment): string => ImageFile::jpegOn(ListingPicture::draw($scene($garment->colour), $art, $artwork->sheet), Srgb::of(255, 255, 255), 90), $garments);
    }
}
