<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Schema\ApiSchema;
use Illuminate\Console\Command;

/** Writes the API's JSON Schema, from which the types of the front end are generated. */
final class WriteSchema extends Command
{
    protected $signature = 'crow:schema {--out=docs/api.schema.json : Where it is written}';

    protected $description = 'Write the JSON Schema of the API';

    public function handle(): int
    {
        $out = $this->option('out');
        assert(is_string($out));
        file_put_contents(base_path($out), ApiSchema::json());
        $this->info("$out is written.");

        return self::SUCCESS;
    }
}
