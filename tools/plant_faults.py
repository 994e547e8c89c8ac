"""Plants faults by seed, one at a time, in a copy of the project, and counts which of them the tests see.

./run exec python tools/plant_faults.py FOLDER [--count 50] [--seed 1] [--only NUMBER...]

FOLDER is made anew: a copy of the project. Nothing else is touched. First the tests nearest to the fault run,
then all others; a fault that all of them pass lives, and is shown as it stands in the file.
"""

import argparse
import ast
import os
import random
import shutil
import subprocess
import sys
import time
from collections.abc import Iterator
from dataclasses import dataclass
from pathlib import Path

PROJECT = Path(__file__).resolve().parent.parent
PACKAGES = ("session", "render", "engine", "files", "bridge", "dsp", "cli", "ui")
FOLDERS = ("dsp", "session", "render", "files", "engine", "bridge", "flow", "ui")
"""Of tests, the quickest first."""
SECONDS = 1200
"""After which a run of tests that does not end has seen the fault."""
SWAPPED: dict[type, type] = {
    ast.Lt: ast.LtE,
    ast.LtE: ast.Lt,
    ast.Gt: ast.GtE,
    ast.GtE: ast.Gt,
    ast.Eq: ast.NotEq,
    ast.NotEq: ast.Eq,
    ast.Is: ast.IsNot,
    ast.IsNot: ast.Is,
    ast.In: ast.NotIn,
    ast.NotIn: ast.In,
    ast.Add: ast.Sub,
    ast.Sub: ast.Add,
    ast.Mult: ast.Div,
    ast.Div: ast.Mult,
    ast.And: ast.Or,
    ast.Or: ast.And,
}
NAMES = {"min": "max", "max": "min", "any": "all", "all": "any", "first": "last", "minimum": "maximum"}


@dataclass(frozen=True)
class Fault:
    """One place in one file, and what stands there instead."""

    file: Path
    line: int
    start: int
    end: int
    old: str
    new: str


def faults_in(path: Path, copy: Path) -> list[Fault]:
    """Every fault that could be planted in a file, in its functions only."""
    text = path.read_text()
    starts = [0]
    for line in text.splitlines(keepends=True):
        starts.append(starts[-1] + len(line.encode()))
    raw, found = text.encode(), []
    functions = [node for node in ast.walk(ast.parse(text)) if isinstance(node, ast.FunctionDef)]
    seen: set[tuple[int, int]] = set()
    for function in functions:
        for node in (each for part in function.body for each in ast.walk(part)):
            for new in _changed(node):
                start = starts[node.lineno - 1] + node.col_offset  # type: ignore[attr-defined]
                end = starts[node.end_lineno - 1] + node.end_col_offset  # type: ignore[attr-defined]
                old = raw[start:end].decode()
                if (start, end) not in seen and new != old:
                    seen.add((start, end))
                    found.append(Fault(path.relative_to(copy), node.lineno, start, end, old, new))  # type: ignore[attr-defined]
    return found


def _changed(node: ast.AST) -> Iterator[str]:
    """What may stand in the place of a node; nothing for most."""
    if isinstance(node, ast.Compare) and len(node.ops) == 1 and type(node.ops[0]) in SWAPPED:
        operator = SWAPPED[type(node.ops[0])]()
        yield ast.unparse(ast.Compare(node.left, [operator], node.comparators))
    elif isinstance(node, ast.BinOp) and type(node.op) in SWAPPED and not isinstance(node.left, ast.Constant):
        yield f"({ast.unparse(ast.BinOp(node.left, SWAPPED[type(node.op)](), node.right))})"
    elif isinstance(node, ast.BoolOp):
        yield f"({ast.unparse(ast.BoolOp(SWAPPED[type(node.op)](), node.values))})"
    elif isinstance(node, ast.UnaryOp) and isinstance(node.op, ast.Not):
        yield ast.unparse(node.operand)
    else:
        yield from _other_value(node)


def _other_value(node: ast.AST) -> Iterator[str]:
    """Calls left out or of another function, constants of another value."""
    if isinstance(node, ast.Expr) and isinstance(node.value, ast.Call):
        yield "pass"
    elif isinstance(node, ast.Call) and isinstance(node.func, ast.Name) and node.func.id in NAMES:
        yield ast.unparse(ast.Call(ast.Name(NAMES[node.func.id]), node.args, node.keywords))
    elif isinstance(node, ast.Constant) and isinstance(node.value, bool):
        yield repr(not node.value)
    elif isinstance(node, ast.Constant) and isinstance(node.value, int | float):
        yield repr(node.value + 1)


def chosen(copy: Path, count: int, seed: int) -> list[Fault]:
    """As many of each package as it has lines, each file and place by chance."""
    chance = random.Random(seed)
    files = [path for name in PACKAGES for path in sorted((copy / "src/chronotome" / name).rglob("*.py"))]
    places = [fault for path in files for fault in faults_in(path, copy)]
    return chance.sample(places, count)


def tests_near(fault: Fault) -> list[str]:
    """The folder of tests of a fault's own package."""
    package = fault.file.parts[2]
    return [f"tests/{'flow' if package == 'cli' else package}"]


def seen_by(copy: Path, tests: list[str]) -> str:
    """The first test that fails; empty where all pass."""
    command = [sys.executable, "-P", "-m", "pytest", "-x", "-q", "-p", "no:cacheprovider", "-n", "2", *tests]
    try:
        ended = subprocess.run(  # noqa: S603 - our own tests
            command,
            cwd=copy,
            capture_output=True,
            text=True,
            timeout=SECONDS,
            check=False,
            env={**os.environ, "QT_QPA_PLATFORM": "offscreen", "PYTHONPATH": f"{copy / 'src'}:{copy}"},
        )
    except subprocess.TimeoutExpired:
        return "no end"
    if ended.returncode == 0:
        return ""
    failed = (line for line in ended.stdout.splitlines() if line.startswith(("FAILED", "ERROR")))
    return next(failed, "a crash").split(" - ")[0].removeprefix("FAILED ").removeprefix("ERROR ")


def main() -> None:
    parser = argparse.ArgumentParser(description=__doc__.splitlines()[0])
    parser.add_argument("folder", type=Path)
    parser.add_argument("--count", type=int, default=50)
    parser.add_argument("--seed", type=int, default=1)
    parser.add_argument(
        "--only", type=int, nargs="*", help="numbers of faults, as an earlier run showed them"
    )
    arguments = parser.parse_args()
    copy: Path = arguments.folder
    if copy.exists():
        parser.error(f"{copy} is there already")
    shutil.copytree(
        PROJECT,
        copy,
        symlinks=True,
        ignore=shutil.ignore_patterns(".venv*", ".git", "__pycache__", ".*_cache"),
    )
    if unseen := seen_by(copy, ["tests"]):
        parser.error(f"without a fault this fails already: {unseen}")
    seen, lived = 0, list[str]()
    for number, fault in enumerate(chosen(copy, arguments.count, arguments.seed)):
        if arguments.only and number not in arguments.only:
            continue
        path, began = copy / fault.file, time.monotonic()
        raw = path.read_bytes()
        path.write_bytes(raw[: fault.start] + fault.new.encode() + raw[fault.end :])
        near = tests_near(fault)
        others = [f"tests/{name}" for name in FOLDERS if f"tests/{name}" not in near]
        test = seen_by(copy, near) or seen_by(copy, others)
        path.write_bytes(raw)
        place = f"{fault.file}:{fault.line}  {fault.old!r} -> {fault.new!r}"
        seen += bool(test)
        if not test:
            lived.append(f"{number}  {place}")
        words = f"seen by {test}" if test else "LIVED"
        print(f"{number:3}  {time.monotonic() - began:4.0f} s  {place}\n     {words}", flush=True)
    print(f"{seen} of {seen + len(lived)} seen; lived:", *lived, sep="\n")


if __name__ == "__main__":
    main()
