<?php

declare(strict_types=1);

use App\Models\Asset;
use App\Models\PrintJob;
use App\Rights\PrintedIndex;
use App\Shelf\ShelfFacts;
use App\Shelf\ShelfWords;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('assets', function (Blueprint $table): void {
            $table->string('sha256', 64)->default('');
            $table->string('look', 16)->default('');
            $table->json('tags')->nullable();
            $table->json('languages')->nullable();
            $table->json('colours')->nullable();
            $table->timestamp('binned_at')->nullable();
            $table->index(['shop_id', 'sha256']);
            $table->index(['shop_id', 'kind', 'title']);
        });
        ShelfWords::make();
        // What is on shelves already is looked at once; a file that is lost keeps its row.
        foreach (Asset::query()->get() as $asset) {
            ShelfFacts::of($asset)->keep();
        }
        foreach (PrintJob::query()->with('head')->get() as $job) {
            $job->head === null ?: app(PrintedIndex::class)->renew($job, $job->head->read());
        }
    }

    public function down(): void
    {
        ShelfWords::drop();
        Schema::table('assets', function (Blueprint $table): void {
            $table->dropIndex(['shop_id', 'sha256']);
            $table->dropIndex(['shop_id', 'kind', 'title']);
            $table->dropColumn(['sha256', 'look', 'tags', 'languages', 'colours', 'binned_at']);
        });
    }
};
