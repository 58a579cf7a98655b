<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Studio;
use App\Http\Answers\SceneName;
use App\Models\Revision;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Garment;
use TallCrow\Artwork\Side;
use TallCrow\Asset\PictureReader;
use TallCrow\Asset\PictureRefused;
use TallCrow\Colour\Srgb;
use TallCrow\Export\PrintPng;
use TallCrow\Listing\PhotoPicture;
use TallCrow\Listing\PhotoPlace;
use TallCrow\Listing\PhotoRefused;
use TallCrow\Listing\Pictured;
use TallCrow\Listing\Scene;
use TallCrow\Listing\SceneSheet;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\RasterFailed;
use TallCrow\Render\Frame;
use TallCrow\Render\LayerTrouble;

/** Listing pictures of a design on each cloth on offer. */
final class ListingController
{
    /** Greatest number of cloths in one zip; each takes about two seconds. */
    private const MOST = 20;

    /** Limits of a photo in kilobytes and in pixels. */
    private const MOST_PHOTO = 40_000;

    private const MOST_PIXELS = 30_000_000;

    public function picture(Request $request, Revision $revision): Response
    {
        $artwork = $revision->read();
        $scene = $this->asked($request, $artwork);
        $garment = $artwork->brief->garments[$request->integer('cloth')] ?? abort(404, 'This design is not offered on such a cloth.');

        return new Response($this->drawn($revision, $artwork, [$garment], $scene)[0], 200, ['Content-Type' => 'image/jpeg']);
    }

    /** One picture for each cloth on offer, as a zip. */
    public function all(Request $request, Revision $revision): BinaryFileResponse
    {
        $artwork = $revision->read();
        $scene = $this->asked($request, $artwork);
        $garments = array_slice($artwork->brief->garments, 0, self::MOST);
        $path = $revision->job->load('shop')->shop->folder('scratch').'/listing-'.bin2hex(random_bytes(6)).'.zip';
        $stem = pathinfo(PrintPng::fileName($artwork->title), PATHINFO_FILENAME);
        $zip = new \ZipArchive;
        $zip->open($path, \ZipArchive::CREATE | \ZipArchive::OVERWRITE);
        foreach ($this->drawn($revision, $artwork, $garments, $scene) as $i => $jpeg) {
            $name = sprintf('%s-%d-%s.jpg', $stem, $i + 1, pathinfo(PrintPng::fileName($garments[$i]->name), PATHINFO_FILENAME));
            $zip->addFromString($name, $jpeg);
            $zip->setCompressionName($name, \ZipArchive::CM_STORE);
        }
        $zip->close();

        return response()->download($path, "$stem-listing.zip", ['Content-Type' => 'application/zip'])->deleteFileAfterSend();
    }

    /** @return list<SceneName> */
    public function scenes(): array
    {
        return array_map(fn (SceneSheet $one): SceneName => new SceneName($one->slug, $one->name), array_values(SceneSheet::all()));
    }

    /** The design on a photo uploaded by the seller, which is not stored. */
    public function photo(Request $request, Revision $revision): Response
    {
        /** @var array{corners: list<list<float|int|string>>, folds?: float|int|string|null} $asked */
        $asked = $request->validate([
            'photo' => ['required', 'file', 'max:'.self::MOST_PHOTO], 'corners' => ['required', 'array', 'size:4'], 'corners.*' => ['required', 'array', 'size:2'], 'corners.*.*' => ['required', 'numeric', 'between:-20000,20000'], 'folds' => ['sometimes', 'nullable', 'numeric', 'between:0,1'],
        ], ['photo.required' => 'Choose a photo.', 'photo.max' => 'The photo is larger than 40 MB.', 'corners.size' => 'Four corners are needed.']);
        $file = $request->file('photo');
        assert($file instanceof UploadedFile);
        try {
            $corners = array_map(fn (array $corner): array => [(float) $corner[0], (float) $corner[1]], $asked['corners']);
            /** @var array{array{float, float}, array{float, float}, array{float, float}, array{float, float}} $corners */
            $place = PhotoPlace::at($corners, (float) ($asked['folds'] ?? 0.6));
            $opened = PictureReader::check($file->getPathname());
        } catch (PhotoRefused|PictureRefused|RasterFailed $refused) {
            throw ValidationException::withMessages([$refused instanceof PhotoRefused ? 'corners' : 'photo' => $refused->getMessage()]);
        }
        if ($opened->isVector() || $opened->width * $opened->height > self::MOST_PIXELS) {
            throw ValidationException::withMessages(['photo' => 'A photo is a PNG, JPEG or WebP of 30 megapixels at most.']);
        }
        $photo = $opened->pixels()->settled();
        $artwork = $revision->read();
        $ppi = max(20.0, min($artwork->sheet->ppi->value, 2 * max($photo->width(), $photo->height()) / max($artwork->sheet->box()->width(), $artwork->sheet->box()->height())));
        $art = Studio::of($revision->job->load('shop')->shop)->renderer->picture($artwork, Frame::sheet($artwork->sheet, $ppi), fn (LayerTrouble $trouble): null => null)->settled();

        return new Response(ImageFile::jpegOn(PhotoPicture::draw($photo, $art, $place), Srgb::of(255, 255, 255), 90), 200, ['Content-Type' => 'image/jpeg', 'Cache-Control' => 'no-store']);
    }

    private function asked(Request $request, Artwork $artwork): Scene
    {
        $request->validate([
            'cloth' => ['sometimes', 'integer', 'between:0,39'], 'scene' => ['sometimes', Rule::in(array_keys(SceneSheet::all()))], 'seed' => ['sometimes', 'integer', 'between:0,999999'],
            'width' => ['sometimes', 'integer', 'between:200,4000'], 'height' => ['sometimes', 'integer', 'between:200,4000'],
        ], ['scene.in' => 'There is no such scene.']);
        $number = fn (string $name, int $otherwise): int => $request->filled($name) ? $request->integer($name) : $otherwise;
        $sheet = SceneSheet::all()[$request->string('scene')->toString()] ?? SceneSheet::plain();

        return new Scene($artwork->brief->product->value, $artwork->brief->side === Side::Back, $sheet, $number('seed', 1), $number('width', 2500), $number('height', 2100));
    }

    /**
     * What all cloths have in common is drawn once.
     *
     * @param  list<Garment>  $garments
     * @return list<string> JPEG
     */
    private function drawn(Revision $revision, Artwork $artwork, array $garments, Scene $scene): array
    {
        $pictured = Pictured::of($artwork, $scene, Studio::of($revision->job->load('shop')->shop)->renderer);

        return array_map(fn (Garment $garment): string => ImageFile::jpegOn($pictured->on($garment->colour), Srgb::of(255, 255, 255), 90), $garments);
    }
}
