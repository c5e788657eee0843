package ungula.server.product;

import jakarta.annotation.PostConstruct;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import ungula.core.rubber.ExampleProducts;
import ungula.core.rubber.Product;
import ungula.server.web.Json;

/** The rubber shelf: sheets as kept, read once per version. */
@Component
public class Products {

  private final ProductMapper mapper;
  private final Json json;
  private final Map<String, Product> read = new ConcurrentHashMap<>();

  Products(ProductMapper mapper, Json json) {
    this.mapper = mapper;
    this.json = json;
  }

  @PostConstruct
  void ship() {
    ExampleProducts.all()
        .forEach(
            (id, product) -> {
              if (mapper.find(id) == null) {
                mapper.add(new ProductMapper.Row(id, 1, true, false, json.write(product)));
              }
            });
  }

  /** Empty when the id is null or unknown. */
  public Optional<Product> find(String id) {
    return Optional.ofNullable(id).map(mapper::find).map(this::sheet);
  }

  Product sheet(ProductMapper.Row row) {
    return read.computeIfAbsent(
        row.id() + "@" + row.version(), key -> json.read(row.sheet(), Product.class));
  }

  /** What a job may choose from: id, and the name with its hardness. */
  public List<Offer> offers() {
    return mapper.all().stream()
        .filter(row -> !row.retired())
        .map(row -> new Offer(row.id(), sheet(row).name(), sheet(row).summary()))
        .toList();
  }

  public record Offer(String id, String name, String summary) {}
}
