"""Two files of networks made alike, as one whose answers are the means of both.

    python tools/join_networks.py ONE.npz OTHER.npz [--out src/chronotome/assets/onset-networks.npz]

Networks of other recordings or another size err elsewhere: the mean errs less. Layers lie side by side, and
the first one takes up the other standardisation: of what lies within five deviations the mean is exact.
"""

import argparse
from pathlib import Path

import numpy as np

WEIGHTS = Path(__file__).parent.parent / "src/chronotome/assets/onset-networks.npz"
Layers = dict[str, np.ndarray]


def joined(name: str, one: Layers, other: Layers) -> Layers:
    """Both under one name, standardised as the first is."""
    mean, scale = one[f"{name}.mean"], one[f"{name}.scale"]
    stretch = scale / other[f"{name}.scale"]
    offset = (mean - other[f"{name}.mean"]) / other[f"{name}.scale"]
    layers = sum(key.startswith(f"{name}.weights") for key in one)
    kept: Layers = {f"{name}.mean": mean, f"{name}.scale": scale}
    for layer in range(layers):
        first, second = (each[f"{name}.weights{layer}"].astype(np.float64) for each in (one, other))
        biases = [each[f"{name}.biases{layer}"].astype(np.float64) for each in (one, other)]
        if layer == 0:
            biases[1] = biases[1] + offset @ second
            second = stretch[:, None] * second
        is_last = layer == layers - 1
        if layer == 0:
            weights = np.hstack([first, second])
        else:
            weights = np.zeros((len(first) + len(second), first.shape[1] + second.shape[1]))
            weights[: len(first), : first.shape[1]] = first
            weights[len(first) :, first.shape[1] :] = second
        bias = np.concatenate(biases)
        if is_last:
            outputs = first.shape[1]
            weights = (weights[:, :outputs] + weights[:, outputs:]) / 2
            bias = (bias[:outputs] + bias[outputs:]) / 2
        kept |= {
            f"{name}.weights{layer}": weights.astype(np.float16),
            f"{name}.biases{layer}": bias.astype(np.float32),
        }
    return kept


def main() -> None:
    arguments = argparse.ArgumentParser(description=__doc__)
    arguments.add_argument("files", nargs=2, type=Path)
    arguments.add_argument("--out", type=Path, default=WEIGHTS)
    given = arguments.parse_args()
    one, other = (dict(np.load(each)) for each in given.files)
    names = dict.fromkeys(key.partition(".")[0] for key in one)
    every: Layers = {}
    for name in names:
        every |= joined(name, one, other)
    np.savez_compressed(given.out, allow_pickle=False, **every)
    print(f"{given.out}: {given.out.stat().st_size} bytes")


if __name__ == "__main__":
    main()
