<?php

declare(strict_types=1);

use App\Schema\AnswerSchema;
use App\Schema\ApiSchema;
use Illuminate\Support\Facades\Route;
use TallCrow\Edit\Operations;
use TallCrow\Tests\Fixtures;
use Tests\Described;

it('is kept in docs as the answers have it today', function (): void {
    // After a change of an answer: php artisan crow:schema
    expect((string) file_get_contents(base_path('docs/api.schema.json')))->toBe(ApiSchema::json());
});

it('describes each answer, and each operation that may be sent', function (): void {
    $answers = array_map(fn (string $file): string => basename($file, '.php'), glob(app_path('Http/Answers/*.php')) ?: []);
    expect(array_keys(AnswerSchema::all()))->toEqualCanonicalizing(array_diff($answers, ['Answer', 'DescribedAs', 'JobState']))
        ->and(ApiSchema::file()['$defs']['operation']['oneOf'])->toHaveCount(count(Operations::classes()));
});

it('refuses an answer that lacks or adds something', function (array $change, bool $holds): void {
    $answer = $change + ['id' => 1, 'name' => 'Kite loft', 'width' => 900, 'height' => 1200, 'ppi' => 300.0];
    expect(Described::faults((string) json_encode(array_filter($answer, fn ($value) => $value !== 'gone')), 'Area') === [])->toBe($holds);
})->with([[[], true], [['id' => null], true], [['ppi' => 'gone'], false], [['glow' => 1], false], [['width' => 9.5], false]]);

it('answers lists as it describes what is in them', function (string $path, string $definition): void {
    $this->shelve('alfa-slab-one.woff2', 'moth.svg');
    $job = $this->job([Fixtures::words('w', 'KITE', 2)]);
    $this->postJson("/api/jobs/{$job->id}/exports")->assertCreated();
    $this->postJson('/api/areas', ['name' => 'Loft', 'width' => 900, 'height' => 900, 'ppi' => 300])->assertCreated();
    $list = $this->getJson(str_replace('{job}', (string) $job->id, $path))->assertOk()->json();
    expect($list)->not->toBe([]);
    foreach ($list as $one) {
        expect(Described::faults((string) json_encode($one, JSON_PRESERVE_ZERO_FRACTION), $definition))->toBe([]);
    }
})->with([['/api/jobs', 'JobCard'], ['/api/assets', 'AssetCard'], ['/api/jobs/{job}/exports', 'ExportCard'], ['/api/areas', 'Area']]);

it('answers every route under api with something described, a picture or nothing', function (): void {
    foreach (Route::getRoutes() as $route) {
        if (str_starts_with($route->uri(), 'api/')) {
            [$class, $name] = array_pad(explode('@', $route->getActionName()), 2, '__invoke');
            $returns = (string) (new ReflectionMethod($class, $name))->getReturnType();
            expect($returns)->toMatch('/^(array|App\\\\Http\\\\Answers\\\\\w+|Illuminate\\\\Http\\\\(Json)?Response|Symfony.*(BinaryFile|Streamed)Response)$/', $route->uri());
        }
    }
});
