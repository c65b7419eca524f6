<?php

declare(strict_types=1);

namespace App\Actions\Archive;

use App\Actions\Imports\Loaders;

/**
 * What one study consists of: its tables, in an order in which each stands after those that it names, and where a column holds the number
 * of something, of what. What is calculated (comparisons), under way (tasks, files that wait) or of the installation (members, links for
 * writers, the record of acts) stays behind.
 */
final class StudyTables
{
    /** Accounts are known by their address, for numbers differ from one installation to the next. */
    public const PEOPLE = 'users';

    /** Its own number is in every table. */
    public const STUDY = 'study_id';

    /** table → column → table whose number it holds; tables of imports that name nothing else come from who loads them */
    private const NAMED = [
        'domains' => [],
        'rulebook_settings' => [],
        'imports' => ['user_id' => self::PEOPLE, 'superseded_by' => 'imports'],
        'domain_figures' => ['domain_id' => 'domains', 'import_id' => 'imports'],
        'snapshots' => ['domain_id' => 'domains', 'import_id' => 'imports', 'superseded_by' => 'imports'],
        'sources' => ['import_id' => 'imports', 'snapshot_id' => 'snapshots', 'domain_id' => 'domains'],
        'rankings' => ['snapshot_id' => 'snapshots'],
        'metrics' => ['source_id' => 'sources'],
        'mappings' => [],
        'left_out_files' => [],
        'decisions' => ['updated_by' => self::PEOPLE],
        'tags' => [],
        'lenses' => ['user_id' => self::PEOPLE],
        'weight_presets' => ['user_id' => self::PEOPLE],
        'plans' => [],
        'plan_items' => ['domain_id' => 'domains', 'updated_by' => self::PEOPLE],
        'plan_drafts' => ['user_id' => self::PEOPLE],
        'changes' => ['user_id' => self::PEOPLE],
        'annotations' => ['user_id' => self::PEOPLE],
        'owner_capacities' => [],
    ];

    /** Tables whose rows have a number of their own, which others name. */
    public const NUMBERED = [
        'domains', 'imports', 'domain_figures', 'snapshots', 'sources', 'mappings', 'lenses', 'weight_presets', 'plan_items', 'plan_drafts',
        'changes', 'annotations',
    ];

    /** table → column of JSON → [path to an object within it, table whose numbers are the names of that object] */
    public const KEYED = [
        'imports' => ['before' => ['{}', 'domains']],
        'plan_drafts' => ['placements' => ['{}', 'plan_items']],
        'changes' => ['detail' => ['{items}', 'plan_items']],
    ];

    /** Tables with a study's number that stay behind. */
    public const LEFT = ['study_members', 'comparisons', 'comparison_rows', 'uploads', 'tasks', 'audit', 'digest_subscriptions'];

    /** Columns of the study itself that are given on. */
    public const ABOUT = ['name', 'country', 'language', 'device', 'currency', 'as_of', 'data_version', 'created_at', 'updated_at'];

    /** @return array<string, array<string, string>> table → column → table whose number it holds */
    public static function numbers(): array
    {
        return self::NAMED + array_fill_keys(Loaders::tables(), ['import_id' => 'imports']);
    }
}
