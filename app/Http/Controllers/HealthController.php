<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Upkeep\Room;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;

/** Health check: the database can be locked for writing, the cache works, the disk has free space. Reports nothing more. */
final class HealthController
{
    public function __invoke(): JsonResponse
    {
        $checks = ['database' => $this->database(...), 'cache' => $this->cache(...), 'storage' => $this->storage(...)];
        $found = [];
        foreach ($checks as $name => $check) {
            try {
                $found[$name] = $check();
            } catch (\Throwable $trouble) {
                Log::error('A part is not well.', ['part' => $name, 'reason' => $trouble::class]);
                $found[$name] = false;
            }
        }

        return new JsonResponse(array_map(fn (bool $well): string => $well ? 'well' : 'not well', $found), in_array(false, $found, true) ? 503 : 200, ['Cache-Control' => 'no-store']);
    }

    private function database(): bool
    {
        return DB::transaction(fn (): bool => DB::table('migrations')->exists());
    }

    private function cache(): bool
    {
        $word = bin2hex(random_bytes(4));
        Cache::put('health', $word, 10);

        return Cache::get('health') === $word;
    }

    private function storage(): bool
    {
        $folder = config('crow.storage');

        return is_string($folder) && (is_dir($folder) || @mkdir($folder, 0o700, true)) && is_writable($folder) && Room::isFor($folder, 0);
    }
}
