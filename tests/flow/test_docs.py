"""What the pages for developers name is there."""

import re
from pathlib import Path

import pytest

ROOT = Path(__file__).parents[2]
PAGES = [
    ROOT / "CONTRIBUTING.md",
    *sorted((ROOT / "docs").glob("*.md")),
    *sorted((ROOT / "docs/layers").glob("*.md")),
]
FILES = [
    str(path.relative_to(ROOT))
    for top in ("src", "tests", "tools", "bench")
    for path in (ROOT / top).rglob("*.py")
]


@pytest.mark.parametrize("page", PAGES, ids=lambda page: page.name)
def test_modules_and_pages_that_are_named_exist(page):
    text = page.read_text("utf-8")
    named = {each.split("::")[0] for each in re.findall(r"`([\w/]+\.py)[^`]*`", text)}
    assert not [each for each in named if not any(("/" + path).endswith("/" + each) for path in FILES)]
    links = re.findall(r"\]\(([^)#:]+\.md)\)", text)
    assert not [each for each in links if not (page.parent / each).exists()]


def test_the_entry_page_is_short():
    assert len((ROOT / "docs/architecture.md").read_text("utf-8").splitlines()) <= 120
