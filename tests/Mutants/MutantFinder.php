<?php

declare(strict_types=1);

namespace Tests\Mutants;

use PhpParser\Node;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitorAbstract;
use PhpParser\ParserFactory;
use PhpParser\PrettyPrinter\Standard;

/** Finds what can be changed in a file. */
final class MutantFinder extends NodeVisitorAbstract
{
    private const SWAPS = [
        Node\Expr\BinaryOp\Smaller::class => [Node\Expr\BinaryOp\SmallerOrEqual::class, Node\Expr\BinaryOp\GreaterOrEqual::class],
        Node\Expr\BinaryOp\SmallerOrEqual::class => [Node\Expr\BinaryOp\Smaller::class],
        Node\Expr\BinaryOp\Greater::class => [Node\Expr\BinaryOp\GreaterOrEqual::class, Node\Expr\BinaryOp\SmallerOrEqual::class],
        Node\Expr\BinaryOp\GreaterOrEqual::class => [Node\Expr\BinaryOp\Greater::class],
        Node\Expr\BinaryOp\Identical::class => [Node\Expr\BinaryOp\NotIdentical::class],
        Node\Expr\BinaryOp\NotIdentical::class => [Node\Expr\BinaryOp\Identical::class],
        Node\Expr\BinaryOp\BooleanAnd::class => [Node\Expr\BinaryOp\BooleanOr::class],
        Node\Expr\BinaryOp\BooleanOr::class => [Node\Expr\BinaryOp\BooleanAnd::class],
        Node\Expr\BinaryOp\Plus::class => [Node\Expr\BinaryOp\Minus::class],
        Node\Expr\BinaryOp\Minus::class => [Node\Expr\BinaryOp\Plus::class],
        Node\Expr\BinaryOp\Mul::class => [Node\Expr\BinaryOp\Div::class],
        Node\Expr\BinaryOp\Div::class => [Node\Expr\BinaryOp\Mul::class],
    ];

    /** @var list<Mutant> */
    public array $found = [];

    public function __construct(private readonly string $text, private readonly string $file, private readonly Standard $printer)
    {
    }

    public function enterNode(Node $node): ?int
    {
        // What an attribute or a declaration says is words about the code.
        if ($node instanceof Node\AttributeGroup || $node instanceof Node\Stmt\Declare_) {
            return NodeVisitorAbstract::DONT_TRAVERSE_CHILDREN;
        }
        foreach ($this->changes($node) as $changed) {
            $is = $this->printer->prettyPrintExpr($changed);
            $was = $node instanceof Node\Expr ? $this->printer->prettyPrintExpr($node) : '';
            $bracketed = $changed instanceof Node\Scalar ? $is : "({$is})";
            [$from, $to] = [$node->getStartFilePos(), $node->getEndFilePos() + 1];
            $this->found[] = new Mutant($this->text, $this->file, $node->getStartLine(), $from, $to, $was, $bracketed);
        }

        return null;
    }

    /** @return list<Node\Expr> */
    private function changes(Node $node): array
    {
        return match (true) {
            $node instanceof Node\Expr\BinaryOp && isset(self::SWAPS[$node::class]) => array_map(
                static fn(string $to): Node\Expr => new $to($node->left, $node->right),
                self::SWAPS[$node::class],
            ),
            $node instanceof Node\Expr\BinaryOp\Coalesce => [$node->right],
            $node instanceof Node\Expr\BooleanNot => [$node->expr],
            $node instanceof Node\Expr\Ternary && $node->if !== null => [new Node\Expr\Ternary($node->cond, $node->else, $node->if)],
            $node instanceof Node\Scalar\Int_ => [new Node\Scalar\Int_($node->value + 1)],
            $node instanceof Node\Scalar\Float_ => [new Node\Scalar\Float_($node->value + 1.0)],
            $node instanceof Node\Expr\UnaryMinus => [$node->expr],
            $node instanceof Node\Expr\FuncCall && $node->name instanceof Node\Name => match ($node->name->toString()) {
                'min' => [new Node\Expr\FuncCall(new Node\Name('max'), $node->args)],
                'max' => [new Node\Expr\FuncCall(new Node\Name('min'), $node->args)],
                default => [],
            },
            default => [],
        };
    }

    /** @return list<Mutant> of one file, or of all of a folder and below, in order */
    public static function below(string $root, string $path): array
    {
        $parser = (new ParserFactory())->createForHostVersion();
        $folder = "{$root}/{$path}";
        $files = is_file($folder)
            ? [$folder]
            : new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS));
        $found = [];
        foreach ($files as $file) {
            if (str_ends_with((string) $file, '.php')) {
                $text = (string) file_get_contents((string) $file);
                $finder = new self($text, substr((string) $file, \strlen($root) + 1), new Standard());
                (new NodeTraverser($finder))->traverse($parser->parse($text) ?? []);
                array_push($found, ...$finder->found);
            }
        }
        $place = static fn(Mutant $one): array => [$one->file, $one->from, $one->is];
        usort($found, static fn(Mutant $one, Mutant $other): int => $place($one) <=> $place($other));

        return $found;
    }
}
