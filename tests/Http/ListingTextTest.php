<?php

declare(strict_types=1);

use App\Models\Asset;
use TallCrow\Tests\Fixtures;

it('keeps the words of a listing, counts them against limits that are the seller\'s, and hands them out', function (): void {
    $this->shelve('moth.svg');
    $job = $this->job([['id' => 'moth', 'source' => ['kind' => 'art', 'file' => 'moth.svg'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2, 'height' => null]]], title: 'Moth night');
    $licence = $this->postJson('/api/licences', ['name' => 'CC BY 4.0', 'facts' => ['credit' => ['value' => 'required']]])->assertCreated()->json('id');
    $this->putJson('/api/shelf/licence', ['assets' => [Asset::query()->sole()->id], 'licence' => $licence])->assertNoContent();
    $this->postJson('/api/watched', ['phrase' => 'Brindle hall', 'note' => ''])->assertSuccessful();
    $words = ['title' => ' Moth night tee ', 'description' => "Soft.\n=1+1, \"quoted\"; seen at brindlehall", 'tags' => ['moth', 'lantern evening'], 'titleMost' => 10, 'tagsMost' => null, 'tagMost' => 10, 'descriptionMost' => 500];

    expect($this->getJson("/api/jobs/{$job->id}/listing")->assertOk()->json())->toMatchArray(['title' => 'Moth night', 'tags' => [], 'titleMost' => null, 'faults' => []]);
    $kept = $this->putJson("/api/jobs/{$job->id}/listing", $words)->assertOk()->json();
    expect($kept)->toMatchArray(['title' => 'Moth night tee', 'titleMost' => 10, 'faults' => ['Title: 14 characters, 10 at most.', 'Tag "lantern evening": 15 characters, 10 at most.']])
        ->and($kept['watched'])->toBe(['Brindle hall (here: brindlehall)'])->and($kept['credits'])->toContain('"moth"', 'CC BY 4.0')
        ->and($this->getJson("/api/jobs/{$job->id}/listing")->json())->toBe($kept);

    // RFC 4180, 2.5 to 2.7: cells with commas, breaks or quotes stand in quotes, a quote within is doubled; rows end in CRLF (2.1).
    $table = (string) $this->get("/api/jobs/{$job->id}/listing.csv")->assertOk()->assertHeader('Content-Disposition', 'attachment; filename="moth-night-listing.csv"')->getContent();
    expect($table)->toBe("title,description,tags,credits\r\n\"Moth night tee\",\"Soft.\n=1+1, \"\"quoted\"\"; seen at brindlehall\",\"moth, lantern evening\",\"".str_replace('"', '""', $kept['credits'])."\"\r\n")
        ->and($this->get("/api/jobs/{$job->id}/listing.json")->assertOk()->json())->toBe(['title' => 'Moth night tee', 'description' => $words['description'], 'tags' => $words['tags'], 'credits' => $kept['credits']]);

    // Limits that were stated once are there for the next job; its words are not.
    $next = $this->job([Fixtures::shape('kite', 'rectangle', 2.0)], title: 'Kite day');
    expect($this->getJson("/api/jobs/{$next->id}/listing")->json())->toMatchArray(['title' => 'Kite day', 'description' => '', 'tags' => [], 'titleMost' => 10, 'tagMost' => 10, 'credits' => '']);
    $this->putJson("/api/jobs/{$next->id}/listing", ['title' => str_repeat('x', 501), 'tags' => ['', str_repeat('y', 201)], 'tagMost' => 0])->assertJsonValidationErrors(['title', 'tags.0', 'tags.1', 'tagMost']);
    $this->post("/api/jobs/{$next->id}/listing", ['_method' => 'PUT', 'title' => '', 'tags' => '', 'titleMost' => ''])->assertOk()->assertJsonPath('tags', [])->assertJsonPath('titleMost', null)->assertJsonPath('faults', ['There is no title yet.']);
});
