"""Fixtures that speak the domain."""

import os

import pytest
from hypothesis import settings

settings.register_profile("desk", max_examples=40, deadline=None)
settings.register_profile("ci", max_examples=100, deadline=None, derandomize=True)
settings.load_profile("ci" if os.environ.get("CI") else "desk")


@pytest.fixture(autouse=True)
def own_home(tmp_path_factory, monkeypatch):
    """No test reads or writes the real settings, caches or journals."""
    home = tmp_path_factory.mktemp("home")
    monkeypatch.setenv("HOME", str(home))
    for name in ("CONFIG", "STATE", "CACHE", "DATA"):
        monkeypatch.setenv(f"XDG_{name}_HOME", str(home / name.lower()))
    return home
