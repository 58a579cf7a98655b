<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('calendar_events', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shop_id')->constrained()->cascadeOnDelete();
            $table->string('name', 120);
            $table->date('starts_on');
            $table->unsignedInteger('days')->default(1);
            // As RFC 5545 has it, without "RRULE:"; empty for once.
            $table->string('rrule', 300)->default('');
            $table->string('uid', 255)->default('');
            $table->timestamps();
        });
        Schema::create('plan_items', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('print_job_id')->nullable()->constrained()->nullOnDelete();
            $table->string('title', 200);
            $table->string('event', 120)->default('');
            $table->date('occurs_on');
            $table->unsignedInteger('designs')->default(1);
            $table->unsignedInteger('list_weeks');
            $table->boolean('dropped')->default(false);
            $table->timestamps();
        });
        Schema::create('ideas', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('print_job_id')->nullable()->constrained()->nullOnDelete();
            $table->string('words', 500);
            $table->string('event', 120)->default('');
            $table->string('niche', 120)->default('');
            $table->string('inspired_by', 300)->default('');
            $table->timestamps();
        });
        Schema::table('shops', function (Blueprint $table): void {
            $table->json('calendar')->nullable();
            $table->string('calendar_secret', 64)->nullable()->unique();
        });
        Schema::table('sales', function (Blueprint $table): void {
            $table->string('cloth', 60)->default('');
            $table->string('house', 120)->default('');
        });
    }

    public function down(): void
    {
        Schema::table('sales', fn (Blueprint $table) => $table->dropColumn(['cloth', 'house']));
        Schema::table('shops', function (Blueprint $table): void {
            $table->dropUnique(['calendar_secret']);
            $table->dropColumn(['calendar', 'calendar_secret']);
        });
        Schema::dropIfExists('ideas');
        Schema::dropIfExists('plan_items');
        Schema::dropIfExists('calendar_events');
    }
};
