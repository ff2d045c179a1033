"""Quantiles and distribution of the standard normal from scipy, as JSON."""
import json
from scipy.stats import norm

shares = [0.001, 0.05, 0.25, 0.5, 0.6, 0.9, 0.948, 0.999]
print(json.dumps([{"share": s, "z": float(norm.ppf(s)), "cdf": float(norm.cdf(3 * s - 2))} for s in shares]))
