<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A roadmap belongs to the domain from whose side it was made; looking from another side neither shows nor counts it. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement('ALTER TABLE plan_items ADD domain_id bigint REFERENCES domains ON DELETE RESTRICT');
        DB::statement(
            "UPDATE plan_items SET domain_id = (SELECT id FROM domains WHERE domains.study_id = plan_items.study_id AND role = 'own')",
        );
        DB::statement(
            'ALTER TABLE plan_items ALTER domain_id SET NOT NULL, DROP CONSTRAINT plan_items_study_id_keyword_key, ADD UNIQUE '
                .'(study_id, domain_id, keyword)',
        );
        DB::statement('CREATE INDEX ON plan_items (domain_id)');
    }

    public function down(): void
    {
        DB::statement('ALTER TABLE plan_items DROP domain_id, ADD UNIQUE (study_id, keyword)');
    }
};
