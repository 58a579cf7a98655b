<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('houses', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shop_id')->constrained()->cascadeOnDelete();
            $table->string('name', 120);
            $table->longText('body');
            $table->timestamps();
        });
        Schema::table('print_jobs', fn (Blueprint $table) => $table->json('destinations')->nullable());
        Schema::table('exports', function (Blueprint $table): void {
            $table->json('destination')->nullable();
            $table->string('batch', 36)->default('');
            $table->string('sha256', 64)->default('');
            $table->index(['shop_id', 'sha256']);
            $table->index(['shop_id', 'batch']);
        });
    }

    public function down(): void
    {
        Schema::table('exports', function (Blueprint $table): void {
            $table->dropIndex(['shop_id', 'sha256']);
            $table->dropIndex(['shop_id', 'batch']);
            $table->dropColumn(['destination', 'batch', 'sha256']);
        });
        Schema::table('print_jobs', fn (Blueprint $table) => $table->dropColumn('destinations'));
        Schema::dropIfExists('houses');
    }
};
