<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('series', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('print_job_id')->unique()->constrained()->cascadeOnDelete();
            $table->longText('pattern');
            $table->timestamps();
        });
        Schema::create('series_rows', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('series_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position');
            $table->json('values');
            $table->json('changes')->nullable();
            $table->longText('frozen')->nullable();
            // Of the sheet that the row makes, as it was checked last.
            $table->string('checked', 40)->default('');
            $table->string('verdict', 10)->default('');
            $table->json('told')->nullable();
            $table->timestamps();
            $table->index(['series_id', 'position']);
        });
        Schema::table('exports', fn (Blueprint $table) => $table->foreignId('series_row_id')->nullable()->constrained()->nullOnDelete());
        Schema::table('exports', fn (Blueprint $table) => $table->string('title', 200)->default(''));
    }

    public function down(): void
    {
        Schema::table('exports', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('series_row_id');
            $table->dropColumn('title');
        });
        Schema::dropIfExists('series_rows');
        Schema::dropIfExists('series');
    }
};
