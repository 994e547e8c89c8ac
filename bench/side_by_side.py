"""Two commits on this machine, in turn: each runs its own benches, and every figure they print is compared.

    ./run exec python -m bench.side_by_side OLD [NEW] [--turns 3] [--only edit_latency start ...]

NEW is what stands here, where it is not named. Commits are checked out into a folder of their own, which is
removed. A ratio below 1 is quicker, or less; the spread is that of the turns.
"""

import argparse
import os
import re
import statistics
import subprocess
import sys
import tempfile
import time
from collections import defaultdict
from contextlib import ExitStack, contextmanager
from pathlib import Path

PROJECT = Path(__file__).resolve().parent.parent
BENCHES = ("edit_latency", "painting", "setting", "clips", "start", "opening", "help")
SECONDS = 900
NUMBER = re.compile(r"(?<![\w.])\d+(?:\.\d+)?")
BAR = re.compile(r"\(bar[^)]*\)|, median at most .*")
Figures = dict[tuple[str, int, int], float]
"""By the words of a line, which of such lines it is, and which number of it."""


@contextmanager
def checked_out(commit: str, folder: Path):
    """A commit in a folder, until it is no longer needed."""
    git = ["git", "-C", str(PROJECT), "worktree"]
    subprocess.run([*git, "add", "--detach", "-f", str(folder), commit], check=True, capture_output=True)
    try:
        yield folder
    finally:
        subprocess.run([*git, "remove", "--force", str(folder)], check=True, capture_output=True)


def printed(tree: Path, bench: str) -> str:
    """What a bench of a tree says; empty where it has none, or where it ends badly."""
    env = {
        **{name: value for name, value in os.environ.items() if name != "PYTHONDONTWRITEBYTECODE"},
        "PYTHONPATH": f"{tree / 'src'}:{tree}",
        "QT_QPA_PLATFORM": os.environ.get("QT_QPA_PLATFORM", "offscreen"),
    }
    if bench == "help":
        return f"--help after {1000 * _help_seconds(env):.0f} ms over Python itself"
    if not (tree / "bench" / f"{bench}.py").exists():
        return ""
    command = [sys.executable, "-P", "-m", f"bench.{bench}"]
    try:
        ended = subprocess.run(
            command, cwd=tree, env=env, capture_output=True, text=True, timeout=SECONDS, check=False
        )
    except subprocess.TimeoutExpired:
        return ""
    return ended.stdout if ended.returncode == 0 else ""


def _help_seconds(env: dict[str, str]) -> float:
    def best(*words: str) -> float:
        found = []
        for _ in range(5):
            began = time.perf_counter()
            subprocess.run([sys.executable, *words], env=env, check=True, stdout=subprocess.DEVNULL)
            found.append(time.perf_counter() - began)
        return min(found)

    return best("-m", "chronotome", "--help") - best("-c", "pass")


def figures_in(text: str) -> Figures:
    """Every number of every line, but for bars."""
    found, seen = Figures(), defaultdict[str, int](int)
    for line in text.splitlines():
        plain = BAR.sub("", line)
        words = " ".join(NUMBER.sub("#", plain).split())
        for place, number in enumerate(NUMBER.findall(plain)):
            found[words, seen[words], place] = float(number)
        seen[words] += 1
    return found


def compared(old: list[Figures], new: list[Figures]) -> list[str]:
    """A line for each number that both have."""
    lines = []
    for key in new[0]:
        before, after = ([each[key] for each in turns if key in each] for turns in (old, new))
        if not before or not after or before == after or not statistics.median(before):
            continue
        ratios = sorted(b / a for a, b in zip(before, after, strict=False) if a)
        words, which, place = key
        middle = statistics.median(before), statistics.median(after), statistics.median(ratios)
        lines.append(
            f"{middle[2]:6.2f}  ({ratios[0]:.2f} to {ratios[-1]:.2f})  "
            f"{middle[0]:10.2f} -> {middle[1]:10.2f}  {words}  [line {which + 1}, number {place + 1}]"
        )
    return lines


def main() -> None:
    parser = argparse.ArgumentParser(description=__doc__.splitlines()[0])
    parser.add_argument("old")
    parser.add_argument("new", nargs="?")
    parser.add_argument("--turns", type=int, default=3)
    parser.add_argument("--only", nargs="*", default=BENCHES, choices=BENCHES)
    asked = parser.parse_args()
    with ExitStack() as stack:
        home = Path(stack.enter_context(tempfile.TemporaryDirectory()))
        old = stack.enter_context(checked_out(asked.old, home / "old"))
        new = PROJECT
        if asked.new:
            new = stack.enter_context(checked_out(asked.new, home / "new"))
        for bench in asked.only:
            turns = [
                (figures_in(printed(old, bench)), figures_in(printed(new, bench))) for _ in range(asked.turns)
            ]
            print(f"{bench}: ratio (of the turns), medians")
            print(*compared([each[0] for each in turns], [each[1] for each in turns]), sep="\n", flush=True)


if __name__ == "__main__":
    main()
