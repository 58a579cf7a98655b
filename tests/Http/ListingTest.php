<?php

declare(strict_types=1);

use Illuminate\Http\UploadedFile;
use TallCrow\Colour\Srgb;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Tests\Fixtures;

it('draws a design on each cloth on offer, at the size that is asked for', function (): void {
    $job = $this->job([Fixtures::shape('plate', 'rectangle', 2, '#c02020')]);
    $cloths = count($job->head->read()->brief->garments);
    $jpeg = (string) $this->get("/api/revisions/{$job->head_id}/listing.jpg?cloth=0&scene=wood&seed=4&width=500&height=420")->assertOk()->assertHeader('Content-Type', 'image/jpeg')->getContent();
    expect(array_slice(getimagesizefromstring($jpeg), 0, 2))->toBe([500, 420]);

    $zip = new ZipArchive;
    $zip->open($this->get("/api/revisions/{$job->head_id}/listing.zip?width=400&height=336")->assertOk()->baseResponse->getFile()->getPathname());
    expect($zip->numFiles)->toBe($cloths)->and($zip->getNameIndex(0))->toStartWith('bell-ringers-1-')->and(getimagesizefromstring((string) $zip->getFromIndex(0))[0])->toBe(400);
    $this->getJson("/api/revisions/{$job->head_id}/listing.jpg?cloth=39")->assertNotFound();
    $this->getJson("/api/revisions/{$job->head_id}/listing.jpg?scene=sea")->assertJsonValidationErrors('scene');
    $this->getJson("/api/revisions/{$job->head_id}/listing.jpg?width=90000")->assertJsonValidationErrors('width');
});

it('lays a design on a photo of the seller\'s own, which is not kept', function (): void {
    $job = $this->job([Fixtures::shape('plate', 'rectangle', 2, '#c02020')]);
    expect($this->getJson('/api/scenes')->assertOk()->json('*.slug'))->toContain('plain', 'folded', 'close');
    $file = Fixtures::temporary('photo').'/photo.png';
    ImageFile::writePng(Image::flat(Srgb::of(120, 130, 140), Image::empty(300, 400, 1)->inverted()), $file);
    $lay = fn (array $more) => $this->post("/api/revisions/{$job->head_id}/photo.jpg", $more + ['photo' => new UploadedFile($file, 'photo.png', test: true), 'corners' => [[60, 80], [240, 80], [240, 320], [60, 320]], 'folds' => 0.5], ['Accept' => 'application/json']);
    $size = getimagesizefromstring((string) $lay([])->assertOk()->assertHeader('Content-Type', 'image/jpeg')->getContent());
    expect(array_slice($size ?: [], 0, 2))->toBe([300, 400]);
    $lay(['corners' => [[60, 80], [60, 80], [60, 80], [60, 80]]])->assertJsonValidationErrors('corners');
    $lay(['corners' => [[60, 80], [240, 80]]])->assertJsonValidationErrors('corners');
    $lay(['photo' => UploadedFile::fake()->createWithContent('photo.png', 'no picture')])->assertJsonValidationErrors('photo');
    expect(glob($this->shop->folder('scratch').'/*'))->toBe([]);
});
