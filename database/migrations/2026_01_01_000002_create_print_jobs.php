<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('print_jobs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shop_id')->constrained()->cascadeOnDelete();
            $table->string('title');
            $table->string('area_name');
            $table->unsignedInteger('area_width');
            $table->unsignedInteger('area_height');
            $table->float('area_ppi');
            $table->unsignedBigInteger('head_id')->nullable();
            $table->unsignedInteger('version')->default(0);
            $table->timestamps();
        });
        Schema::create('revisions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('print_job_id')->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('parent_id')->nullable()->index();
            $table->longText('artwork');
            $table->timestamps();
        });
        Schema::create('exports', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('print_job_id')->constrained()->cascadeOnDelete();
            $table->foreignId('revision_id')->constrained()->cascadeOnDelete();
            $table->string('state');
            $table->string('stage');
            $table->unsignedTinyInteger('progress')->default(0);
            $table->string('file');
            $table->json('figures')->nullable();
            $table->text('trouble')->nullable();
            $table->timestamps();
        });
        Schema::create('jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('queue')->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });
    }

    public function down(): void
    {
        foreach (['jobs', 'exports', 'revisions', 'print_jobs'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
