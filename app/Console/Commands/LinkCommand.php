<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\PassKind;
use App\Models\Role;
use App\Models\User;
use App\People\Passes;
use Illuminate\Console\Command;

/** Prints a one-time sign-in link for the owner, valid on this machine only. */
final class LinkCommand extends Command
{
    protected $signature = 'crow:link {--url=http://127.0.0.1:8321 : Where the application is}';

    protected $description = 'Make a link that opens the shop once, on this machine';

    public function handle(Passes $passes): int
    {
        $owner = User::query()->with('shop')->where('role', Role::Owner)->orderBy('id')->first();
        if ($owner === null) {
            $this->error('The shop has no owner yet: bin/artisan crow:owner NAME');

            return self::FAILURE;
        }
        $url = $this->option('url');
        $this->line((is_string($url) ? $url : '').'/enter/'.$passes->make($owner->shop, PassKind::Entry, $owner));

        return self::SUCCESS;
    }
}
