<?php

declare(strict_types=1);

use TallCrow\Tests\Fixtures;

it('draws a design on each cloth on offer, at the size that is asked for', function (): void {
    $job = $this->job([Fixtures::shape('plate', 'rectangle', 2, '#c02020')]);
    $cloths = count($job->head->read()->brief->garments);
    $jpeg = (string) $this->get("/api/revisions/{$job->head_id}/listing.jpg?cloth=0&backdrop=wood&seed=4&width=500&height=420")->assertOk()->assertHeader('Content-Type', 'image/jpeg')->getContent();
    expect(array_slice(getimagesizefromstring($jpeg), 0, 2))->toBe([500, 420]);

    $zip = new ZipArchive;
    $zip->open($this->get("/api/revisions/{$job->head_id}/listing.zip?width=400&height=336")->assertOk()->baseResponse->getFile()->getPathname());
    expect($zip->numFiles)->toBe($cloths)->and($zip->getNameIndex(0))->toStartWith('bell-ringers-1-')->and(getimagesizefromstring((string) $zip->getFromIndex(0))[0])->toBe(400);
    $this->getJson("/api/revisions/{$job->head_id}/listing.jpg?cloth=39")->assertNotFound();
    $this->getJson("/api/revisions/{$job->head_id}/listing.jpg?backdrop=sea")->assertJsonValidationErrors('backdrop');
    $this->getJson("/api/revisions/{$job->head_id}/listing.jpg?width=90000")->assertJsonValidationErrors('width');
});
