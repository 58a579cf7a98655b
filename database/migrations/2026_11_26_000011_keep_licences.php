<?php

declare(strict_types=1);

use App\Models\Shop;
use App\Rights\LicenceBook;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('licences', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shop_id')->constrained()->cascadeOnDelete();
            $table->string('name', 160);
            $table->string('spdx', 60)->default('');
            $table->string('licensor', 200)->default('');
            $table->string('source', 500)->default('');
            $table->string('order_number', 120)->default('');
            $table->unsignedInteger('seats')->nullable();
            $table->date('bought_on')->nullable();
            $table->date('begins_on')->nullable();
            $table->date('ends_on')->nullable();
            $table->json('facts');
            $table->timestamps();
            $table->index(['shop_id', 'name']);
        });
        Schema::create('proofs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('licence_id')->constrained('licences')->cascadeOnDelete();
            $table->string('sha256', 64);
            $table->string('name', 200);
            $table->string('type', 10);
            $table->unsignedInteger('bytes');
            $table->timestamp('came_at');
            $table->unique(['licence_id', 'sha256']);
        });
        Schema::create('job_files', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('print_job_id')->constrained()->cascadeOnDelete();
            $table->string('file');
            $table->boolean('prints');
            $table->index(['shop_id', 'file']);
        });
        Schema::create('sales', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('print_job_id')->constrained()->cascadeOnDelete();
            $table->date('sold_on');
            $table->integer('units');
            $table->string('source', 200)->default('');
            $table->string('key', 64);
            $table->timestamps();
            $table->unique(['shop_id', 'key']);
        });
        Schema::create('watched_phrases', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shop_id')->constrained()->cascadeOnDelete();
            $table->string('phrase', 120);
            $table->string('note', 500)->default('');
            $table->date('warned_on')->nullable();
            $table->timestamps();
        });
        Schema::table('assets', fn (Blueprint $table) => $table->foreignId('licence_id')->nullable()->constrained('licences')->nullOnDelete());
        Schema::table('print_jobs', fn (Blueprint $table) => $table->json('usage')->nullable());
        Schema::table('shops', function (Blueprint $table): void {
            $table->json('usage')->nullable();
            $table->json('sales_columns')->nullable();
        });
        Schema::table('exports', function (Blueprint $table): void {
            $table->string('why', 500)->default('');
            $table->json('rulings')->nullable();
        });
        foreach (Shop::query()->get() as $shop) {
            foreach ($shop->assets()->get() as $asset) {
                $asset->licence_id = app(LicenceBook::class)->named($shop, $asset->licence_name, $asset->licence_author)?->id;
                $asset->save();
            }
        }
    }

    public function down(): void
    {
        Schema::table('exports', fn (Blueprint $table) => $table->dropColumn(['why', 'rulings']));
        Schema::table('shops', fn (Blueprint $table) => $table->dropColumn(['usage', 'sales_columns']));
        Schema::table('print_jobs', fn (Blueprint $table) => $table->dropColumn('usage'));
        Schema::table('assets', fn (Blueprint $table) => $table->dropConstrainedForeignId('licence_id'));
        foreach (['watched_phrases', 'sales', 'job_files', 'proofs', 'licences'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
