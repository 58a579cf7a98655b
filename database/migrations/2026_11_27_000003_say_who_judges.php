<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // Empty: the strictest of the houses that it goes to.
        Schema::table('print_jobs', fn (Blueprint $table) => $table->string('judged_by', 150)->default(''));
    }

    public function down(): void
    {
        Schema::table('print_jobs', fn (Blueprint $table) => $table->dropColumn('judged_by'));
    }
};
