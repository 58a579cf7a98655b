<?php

declare(strict_types=1);

namespace App\Bench;

use App\Http\Answers\Area;
use App\Http\Answers\BenchJob;
use App\Http\Answers\Measure;
use App\Models\PrintJob;
use TallCrow\Edit\Operation;
use TallCrow\Edit\Operations;
use TallCrow\Render\Measures;

/** The state of a job on the bench with its measurements, and operations carried out by the core. */
final readonly class Benches
{
    public function __construct(private Revisions $revisions) {}

    /** @param  list<string>  $chosen  ids of layers that the last change made */
    public function laid(PrintJob $job, array $chosen = []): BenchJob
    {
        $head = $job->head ?? abort(404);
        $artwork = $head->read();

        return new BenchJob(
            $job->id, $job->title, $job->version, $head->id, $head->parent_id !== null, $this->revisions->canRedo($job), Area::of($job->area()),
            $artwork->toArray(), array_map(Measure::of(...), Measures::of($artwork, Studio::of($job->shop)->renderer->placer)), $chosen,
        );
    }

    /**
     * @param  list<Operation>  $operations
     *
     * @throws StaleVersion
     */
    public function operate(PrintJob $job, int $version, array $operations): BenchJob
    {
        $artwork = $job->head?->read() ?? abort(404);
        $edited = Operations::apply($operations, $artwork, Studio::of($job->shop)->renderer->placer);

        return $this->laid($this->revisions->save($job, $version, $edited->artwork), $edited->chosen);
    }
}
